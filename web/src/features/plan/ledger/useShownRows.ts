import type { Row } from '../../../api';
import { useSheet } from '../sheetContext';
import { filtered } from './ledgerFilter';

/** The rows that the filter leaves, how many it hides, and which is the first that passes. */
export function useShownRows(): { rows: Row[]; hidden: number; firstPass: string | undefined } {
  const { ledger, catalogue, address, chosen, row } = useSheet();
  const all = ledger?.rows ?? [];
  const rows = filtered(all, address.filter, catalogue, [chosen, row?.id]);
  return {
    rows,
    hidden: all.length - rows.length,
    firstPass: rows.find((r) => r.verdict === 'PASS')?.id,
  };
}
