import { useMemo } from 'react';
import type { Ledger, Row } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useTyped } from '../../../ui';
import { comparisonOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { filtered } from './ledgerFilter';

interface ShownRows {
  rows: Row[];
  hidden: number;
  firstPass: string | undefined;
  /** Of very many cables, what has no row; null where all have one. */
  leftOut: NonNullable<Ledger['leftOut']> | null;
}

/** The rows that the filter leaves, how many it hides, and which is the first that passes. */
export function useShownRows(): ShownRows {
  const { ledger, catalogue, address, chosen, row } = useSheet();
  const found = useFoundAmongMany();
  const all = useMemo(
    () => withRows(ledger?.rows ?? [], found?.rows ?? []),
    [ledger?.rows, found?.rows],
  );
  const rows = filtered(all, address.filter, catalogue, [chosen, row?.id]);
  return {
    rows,
    hidden: all.length - rows.length,
    firstPass: rows.find((r) => r.verdict === 'PASS')?.id,
    leftOut: (found ?? ledger)?.leftOut ?? null,
  };
}

/** Of more cables than the ledger has rows, the server looks for what is typed among all of them. */
function useFoundAmongMany(): Ledger | undefined {
  const { plan, ledger, address } = useSheet();
  const { tolerances } = usePreferences().settings;
  const find = useTyped(address.filter.find);
  const isAsked = find !== '' && Boolean(ledger?.leftOut);
  const request = useMemo(
    () => (isAsked ? { ...comparisonOf(plan, tolerances, []), find } : null),
    [isAsked, plan, tolerances, find],
  );
  const answer = useLedger(request);
  return isAsked && !answer.isPlaceholderData ? answer.data : undefined;
}

/** The rows of both, those of the ledger first: among them they are in its order. */
function withRows(rows: readonly Row[], found: readonly Row[]): readonly Row[] {
  const others = found.filter((f) => rows.every((r) => r.id !== f.id));
  return others.length === 0 ? rows : [...rows, ...others];
}
