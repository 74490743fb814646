import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type { CableType, Connector, Ledger, Row } from '../api';
import { bandsOf, powerOn } from '../features/plan/document/model';
import type { Sheet } from '../features/plan/sheetContext';
import { SheetProvider } from '../features/plan/sheetContext';
import { DEFAULTS, PreferencesProvider } from '../app/preferences';
import { answering } from './answers';
import { joint, line, planOfRun } from './plans';

/** Nothing changes its size. */
class Unmoved {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** A row of a ledger on two bands. */
export function rowOf(change: Partial<Row> = {}): Row {
  const cell = { totalLossDb: 3, powerAtAntennaW: 25, verdict: 'PASS', bandId: 'a' };
  return {
    id: 'rg-58',
    name: 'RG-58',
    verdict: 'PASS',
    suitability: 'SUITED',
    cells: [cell, cell],
    reasons: [],
    assignment: [],
    cost: { amount: 20, currency: 'EUR', sample: true, samples: [] },
    notInCost: [],
    decidingBand: 0,
    mass: { totalKg: 0.8 },
    chance: null,
    passing: null,
    marginalByChance: false,
    middle: [],
    surer: null,
    tolerance: { percent: 10, provenance: 'TYPICAL', ofItself: false },
    leastSpareDb: 1.5,
    ...change,
  } as unknown as Row;
}

/** A sheet with a plan of one run, as if the server had answered; what is commanded is kept. */
export function sheetOf(change: Partial<Sheet> = {}): Sheet {
  const plan = change.plan ?? planOfRun([joint(), line(), joint({ id: 'k' })]);
  const focus = change.focus ?? 0;
  const row = rowOf();
  return {
    planId: 'p1',
    plan,
    version: 3,
    catalogue: [
      { key: 'rg-58', name: 'RG-58', family: 'thin', pricedOn: null },
      { key: 'foam-10', name: 'Foam 10', family: 'low-loss', pricedOn: null },
    ] as unknown as CableType[],
    connectors: [
      { key: 'n', name: 'N', retired: false },
      { key: 'uhf', name: 'UHF (PL-259)', retired: false },
    ] as unknown as Connector[],
    decisions: [],
    chosen: undefined,
    focus,
    band: bandsOf(plan)[focus],
    hasWatts: powerOn(plan, bandsOf(plan)[focus]) !== null,
    follows: false,
    answered: undefined,
    ledger: { presentRowId: 'rg-58', rows: [row], relaxations: [] } as unknown as Ledger,
    row,
    rowId: row.id,
    cableName: row.name,
    isPresent: true,
    assessment: undefined,
    atTolerance: undefined,
    otherWeather: undefined,
    sureness: { of: () => undefined, steps: [] },
    profile: undefined,
    pointedAt: undefined,
    stale: false,
    problem: null,
    address: {
      view: 'ledger',
      bandId: null,
      rowId: null,
      own: null,
      isMixing: false,
      buys: 'loss',
      filter: { find: '', hideFailing: false, base: null, pinned: [] },
      put: vi.fn(),
      sift: vi.fn(),
    },
    command: vi.fn(),
    trouble: vi.fn(),
    focusBand: vi.fn(),
    pickRow: vi.fn(),
    pointRow: vi.fn(),
    saveNow: vi.fn(),
    ...change,
  };
}

/** Draws a part of a sheet, on a wide screen; nobody answers but what is answered here. */
export function onSheet(
  part: React.ReactNode,
  change: Partial<Sheet> = {},
  answers: Parameters<typeof answering>[0] = {},
  settings: Partial<typeof DEFAULTS> = {},
): Sheet {
  const sheet = sheetOf(change);
  answering(answers);
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
  vi.stubGlobal('ResizeObserver', Unmoved);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['settings'], { ...DEFAULTS, ...settings });
  render(
    <MemoryRouter>
      <QueryClientProvider client={client}>
        <PreferencesProvider>
          <SheetProvider value={sheet}>{part}</SheetProvider>
        </PreferencesProvider>
      </QueryClientProvider>
    </MemoryRouter>,
  );
  return sheet;
}
