import { useCallback, useMemo } from 'react';
import { useAddress } from '../../app/useAddress';
import { addressOfFilter, filterOfAddress } from './ledger/ledgerFilter';
import type { LedgerFilter } from './ledger/ledgerFilter';

/** What may stand in the place of the ledger. */
export type View = 'ledger' | 'reach' | 'value' | 'line' | 'sweep' | 'paper';

export const VIEWS: readonly { view: View; text: string }[] = [
  { view: 'ledger', text: 'Ledger' },
  { view: 'reach', text: 'Reach' },
  { view: 'value', text: 'Value' },
  { view: 'line', text: 'Line' },
  { view: 'sweep', text: 'Sweep' },
  { view: 'paper', text: 'Paper' },
];

/** What an address asks for, or the ledger. */
export function viewOf(asked: string | null): View {
  return VIEWS.find((v) => v.view === asked)?.view ?? 'ledger';
}

/** What the address of a sheet keeps: what is looked at, so that a link and the back button lead there again. */
export interface SheetAddress {
  view: View;
  bandId: string | null;
  rowId: string | null;
  /** Id of the figure of one's own that is open, 'new' for one to be made. */
  own: string | null;
  isMixing: boolean;
  /** What money buys in the value view: less loss, or more certainty. */
  buys: 'loss' | 'chance';
  filter: LedgerFilter;
  /** Changes parts of it; undefined leaves a part out. */
  put: (changes: Record<string, string | undefined>) => void;
  sift: (change: Partial<LedgerFilter>) => void;
}

export function useSheetAddress(): SheetAddress {
  const { params, put } = useAddress();
  const sift = useCallback((change: Partial<LedgerFilter>) => put(addressOfFilter(change)), [put]);
  return useMemo(
    () => ({
      view: viewOf(params.get('view')),
      bandId: params.get('band'),
      rowId: params.get('row'),
      own: params.get('own'),
      isMixing: params.get('mix') !== null,
      buys: params.get('by') === 'chance' ? ('chance' as const) : ('loss' as const),
      filter: filterOfAddress(params),
      put,
      sift,
    }),
    [params, put, sift],
  );
}
