import { useCallback, useState } from 'react';
import type { CableType, Connector, StoredPlan } from '../../api';
import { useDecisions } from '../../api';
import type { PlanEditing } from './document/usePlanEditing';
import { bandsOf, powerOn } from './document/model';
import { useRows } from './ledger/useRows';
import { useProfile } from './run/useProfile';
import type { Sheet } from './sheetContext';
import { useSheetAddress } from './useSheetAddress';
import { useTroubles } from './useTroubles';

/** Brings together what a plan's sheet shows: the plan as it is edited, the address, and what the core says of both. */
export function useSheetState(
  stored: StoredPlan,
  editing: PlanEditing,
  catalogue: CableType[],
  connectors: Connector[],
): Sheet {
  const { plan } = editing;
  const address = useSheetAddress();
  const troubles = useTroubles();
  const [pointed, pointRow] = useState<string | null>(null);
  const decisions = useDecisions(stored.id).data ?? [];
  const chosen = decisions.find((d) => d.withdrawnAt === null)?.rowId;

  const bands = bandsOf(plan);
  const named = bands.findIndex((b) => b.id !== undefined && b.id === address.bandId);
  const focus = Math.max(0, named);
  const rows = useRows(plan, catalogue, address.rowId ?? chosen ?? null, pointed, focus);
  const rowId = rows.selected?.id ?? null;
  const profile = useProfile(plan, catalogue, rowId, focus);

  const { put } = address;
  const focusBand = useCallback((i: number) => put({ band: bands[i]?.id }), [put, bands]);
  const selectRow = useCallback((id: string) => put({ row: id }), [put]);
  return {
    planId: stored.id,
    plan,
    version: editing.version,
    catalogue,
    connectors,
    decisions,
    chosen,
    focus,
    band: bands[focus],
    hasWatts: powerOn(plan, bands[focus]) !== null,
    ledger: rows.ledger,
    row: rows.selected,
    rowId,
    cableName: rows.selected?.name ?? '',
    isPresent: rowId !== null && rowId === rows.ledger?.presentRowId,
    assessment: rows.drawn,
    atTolerance: rows.atTolerance,
    otherWeather: rows.otherWeather,
    profile,
    pointedAt: rows.pointedAt,
    stale: troubles.isAny || rows.isStale,
    problem: rows.problem,
    address,
    command: editing.command,
    trouble: troubles.trouble,
    focusBand,
    selectRow,
    pointRow,
    saveNow: editing.saveNow,
  };
}
