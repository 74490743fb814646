import { lazy, Suspense } from 'react';
import { useNarrow } from '../../../ui';
import { Ledger } from '../ledger/Ledger';
import { LedgerList } from '../ledger/LedgerList';
import { useSheet } from '../sheetContext';
import type { SheetAddress } from '../useSheetAddress';

const FETCHED = {
  reach: () => import('./ReachView').then((m) => ({ default: m.ReachView })),
  value: () => import('./ValueView').then((m) => ({ default: m.ValueView })),
  line: () => import('./LineView').then((m) => ({ default: m.LineView })),
  sweep: () => import('./SweepView').then((m) => ({ default: m.SweepView })),
  paper: () => import('../paper/PaperView').then((m) => ({ default: m.PaperView })),
} satisfies Record<Exclude<SheetAddress['view'], 'ledger'>, unknown>;

const VIEWS = {
  reach: lazy(FETCHED.reach),
  value: lazy(FETCHED.value),
  line: lazy(FETCHED.line),
  sweep: lazy(FETCHED.sweep),
  paper: lazy(FETCHED.paper),
};

/** Fetches what few open at once, so that it opens even while the server is away. */
export async function fetchViews(): Promise<void> {
  await Promise.all(Object.values(FETCHED).map((view) => view()));
}

/** What the address asks for in the place of the ledger, or the ledger. */
export function CurrentView() {
  const { address } = useSheet();
  const narrow = useNarrow();
  if (address.view === 'ledger') return narrow ? <LedgerList /> : <Ledger />;
  const View = VIEWS[address.view];
  return (
    <Suspense fallback={<p className="px-4 py-6 text-soft">Opening …</p>}>
      <View />
    </Suspense>
  );
}
