// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { CableType } from '../../../api';
import { answering, Problem } from '../../../testing/answers';
import { line, planOfRun } from '../../../testing/plans';
import { detailRequest, useRows } from './useRows';

vi.mock('../../../app/preferences', () => ({
  usePreferences: () => ({ settings: { tolerances: TOLERANCES } }),
}));

const TOLERANCES = {
  typicalPercent: 10,
  sheetPercent: 5,
  measuredPercent: 3,
  guessedPercent: 20,
};
const CATALOGUE = [{ key: 'rg-58' }, { key: 'foam-10' }] as CableType[];
const plan = planOfRun([line()]);

interface Asked {
  bands: unknown[];
  candidates: { cableKey?: string }[];
  details: unknown[];
}

function row(id: string, verdict: string, suitability = 'SUITED') {
  return { id, verdict, suitability, name: id, cells: [] };
}

/** The whole ledger, or the one row that a small question is about. */
function comparisons(body: Asked) {
  const [only] = body.candidates ?? [];
  return body.details.length === 0
    ? {
        presentRowId: 'rg-58',
        rows: [
          row('rg-58', 'FAIL'),
          row('rg-6', 'PASS', 'OTHER_IMPEDANCE'),
          row('foam-10', 'PASS'),
        ],
        details: [],
      }
    : { rows: [], details: [{ assessment: { of: only?.cableKey }, atTolerance: null }] };
}

function rows(follows: boolean, pointed: string | null = null) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return renderHook(() => useRows({ plan, follows, focus: 0 }, CATALOGUE, pointed), {
    wrapper: ({ children }: { children: React.ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    ),
  });
}

describe('the rows of a plan', () => {
  let asked: ReturnType<typeof answering>;

  beforeEach(() => {
    asked = answering({ 'POST /api/comparisons': comparisons });
  });
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it('are drawn for what was laid into the run by hand', async () => {
    const { result } = rows(false);
    await waitFor(() => expect(result.current.drawn).toEqual({ of: 'rg-58' }));
    expect(result.current.inRun?.id).toBe('rg-58');
  });

  it('else for what comes first, whatever its impedance, and even where it fails', async () => {
    vi.restoreAllMocks();
    answering({
      'POST /api/comparisons': (body: Asked) => ({
        ...comparisons(body),
        ...(body.details.length === 0 && {
          rows: [row('rg-6', 'FAIL', 'OTHER_IMPEDANCE'), row('rg-58', 'FAIL')],
        }),
      }),
    });
    const { result } = rows(true);
    await waitFor(() => expect(result.current.inRun?.id).toBe('rg-6'));
  });

  it('stay together with the plan that they were computed for until the next are all there', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const other = planOfRun([line({ lengthM: 77 })]);
    const { result, rerender } = renderHook(
      (of: typeof plan) => useRows({ plan: of, follows: false, focus: 0 }, CATALOGUE, null),
      {
        initialProps: plan,
        wrapper: ({ children }: { children: React.ReactNode }) => (
          <QueryClientProvider client={client}>{children}</QueryClientProvider>
        ),
      },
    );
    await waitFor(() => expect(result.current.answered?.plan).toBe(plan));
    rerender(other);
    expect(result.current.answered?.plan).toBe(plan);
    expect(result.current.drawn).toEqual({ of: 'rg-58' });
    await waitFor(() => expect(result.current.answered?.plan).toBe(other));
  });

  it('ask for one cell of the row pointed at, and not for that of the row drawn', async () => {
    const { result } = rows(false, 'foam-10');
    await waitFor(() => expect(result.current.pointedAt).toEqual({ of: 'foam-10' }));
    const small = asked.map((a) => a.body as Asked).filter((b) => b.details.length > 0);
    expect(small.every((b) => b.bands.length === 1)).toBe(true);
    const same = rows(false, 'rg-58').result;
    await waitFor(() => expect(same.current.drawn).toBeDefined());
    expect(same.current.pointedAt).toBeUndefined();
  });

  it('say what is wrong when the plan cannot be compared', async () => {
    vi.restoreAllMocks();
    answering({
      'POST /api/comparisons': () => new Problem(422, 'bands[0].frequencyMHz must be given'),
    });
    const { result } = rows(true);
    await waitFor(() => expect(result.current.problem).toContain('must be given'));
    expect(result.current.isStale).toBe(true);
  });
});

describe('the small question', () => {
  const ask = (rowId: string, of = plan) =>
    detailRequest(of, CATALOGUE, rowId, 1, false, TOLERANCES);

  it('is about one band and one cable', () => {
    const request = ask('foam-10');
    expect(request.bands?.map((b) => b.name)).toEqual(['70 cm']);
    expect(request.candidates).toEqual([{ cableKey: 'foam-10' }]);
    expect(request.requirements).toEqual([]);
    expect(request.details).toEqual([{ rowId: 'foam-10', band: 0, profile: false }]);
  });

  it('is about a figure of one’s own as it stands in the plan', () => {
    const own = { id: 'own-1', name: 'Mine', cable: { impedanceOhm: 50, velocityFactor: 0.8 } };
    const mine = { ...plan, document: { ...plan.document, candidates: [own] } };
    expect(ask('own-1', mine as never).candidates).toEqual([own]);
  });

  it('is about a mix as it lies in the run', () => {
    const mixed = planOfRun([line(), line({ id: 't', cableKey: 'foam-10' })]);
    expect(ask('rg-58 + foam-10', mixed).candidates).toEqual([
      { cableKey: 'rg-58' },
      { cableKey: 'foam-10' },
    ]);
  });
});
