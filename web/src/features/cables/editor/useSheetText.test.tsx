// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { KeptFor } from '../../../ui';
import { answering, Problem } from '../../../testing/answers';
import { draftOf } from './draft';
import { useDraft } from './useDraft';
import { useSheetText } from './useSheetText';

vi.mock('../../../app/preferences', () => ({
  usePreferences: () => ({ settings: { currency: 'EUR' } }),
}));

const TABLE = '100 5.2\n1000 17.2';
const EMPTY = draftOf(null, 'EUR');

function within({ children }: { children: React.ReactNode }) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return (
    <QueryClientProvider client={client}>
      <KeptFor.Provider value="cables">{children}</KeptFor.Provider>
    </QueryClientProvider>
  );
}

const READ = {
  rows: [
    { line: 1, frequencyMHz: 100, attenuationDbPer100m: 5.2 },
    { line: 2, frequencyMHz: 1000, attenuationDbPer100m: 17.2 },
  ],
  skipped: [],
};

describe('a copied table', () => {
  let asked: ReturnType<typeof answering>;

  beforeEach(() => {
    asked = answering({ 'POST /api/sheets': () => READ });
  });
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  function reading(sheet = TABLE, change = {}) {
    const draft = { ...EMPTY, sheet, ...change };
    return renderHook(() => useSheetText(draft), { wrapper: within });
  }

  it('is read with what is known of the cable, by which its losses are checked', async () => {
    const { result } = reading(TABLE, {
      numbers: { ...EMPTY.numbers, outerDiameterMm: '7,3', velocityFactor: '0.84' },
    });
    await waitFor(() => expect(result.current.isReady).toBe(true));
    expect(asked.at(-1)?.body).toMatchObject({
      text: TABLE,
      outerDiameterMm: 7.3,
      velocityFactor: 0.84,
    });
    expect(result.current.points).toEqual([
      { frequencyMHz: 100, attenuationDbPer100m: 5.2 },
      { frequencyMHz: 1000, attenuationDbPer100m: 17.2 },
    ]);
  });

  it('of a balanced line is not checked against a coaxial one', async () => {
    const { result } = reading(TABLE, { balanced: true });
    await waitFor(() => expect(result.current.isReady).toBe(true));
    expect(asked.at(-1)?.body).not.toHaveProperty('impedanceOhm');
  });

  it('leaves rows out and takes them in again', async () => {
    const { result } = reading();
    await waitFor(() => expect(result.current.isReady).toBe(true));
    act(() => result.current.leaveOut(1));
    expect(result.current.points.map((p) => p.frequencyMHz)).toEqual([1000]);
    act(() => result.current.leaveOut(1));
    expect(result.current.points).toHaveLength(2);
    act(() => result.current.leaveOut(2));
    act(() => result.current.leaveNothingOut());
    expect(result.current.points).toHaveLength(2);
  });

  it('is read anew in another unit', async () => {
    const { result } = reading();
    await waitFor(() => expect(result.current.isReady).toBe(true));
    act(() => result.current.setLossPer('HUNDRED_FEET' as never));
    expect(result.current.isOld).toBe(true);
    await waitFor(() => expect(result.current.isReady).toBe(true));
    expect(asked.at(-1)?.body).toMatchObject({ lossPer: 'HUNDRED_FEET' });
  });

  it('that is empty is nothing, and nobody is asked', () => {
    const { result } = reading('  ');
    expect(result.current).toMatchObject({ read: undefined, error: null, isReady: false });
    expect(asked).toEqual([]);
  });

  it('that cannot be read says why', async () => {
    vi.restoreAllMocks();
    answering({ 'POST /api/sheets': () => new Problem(422, 'there is no number in it') });
    const { result } = reading('words');
    await waitFor(() => expect(result.current.error?.message).toContain('no number'));
    expect(result.current.isReady).toBe(false);
  });
});

describe('a draft of a type', () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);

  it('is kept while it is typed, and goes on from there', () => {
    const first = renderHook(() => useDraft(null, false), { wrapper: within });
    act(() => first.result.current.set({ name: 'Quay 7' }));
    first.unmount();
    const again = renderHook(() => useDraft(null, false), { wrapper: within });
    expect(again.result.current.draft.name).toBe('Quay 7');
    again.result.current.forget();
    again.unmount();
    const anew = renderHook(() => useDraft(null, false), { wrapper: within });
    expect(anew.result.current.draft.name).toBe('');
  });

  it('of a copy has a name of its own', () => {
    const type = { ...EMPTY, key: 'rg-58', name: 'RG-58', points: [] } as never;
    const { result } = renderHook(() => useDraft(type, true), { wrapper: within });
    expect(result.current.draft.name).toBe('RG-58, copy');
  });

  it('tells what is wrong from the first try to store it on', () => {
    const { result } = renderHook(() => useDraft(null, false), { wrapper: within });
    expect(result.current.tried).toBe(false);
    act(() => result.current.try());
    expect(result.current.tried).toBe(true);
    expect(result.current.troubles).toHaveProperty('name');
  });
});
