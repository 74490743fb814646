import { useCallback, useState } from 'react';
import type { CableType, Connector, StoredPlan } from '../../api';
import { useDecisions } from '../../api';
import type { Command } from './document/commands';
import { isAboutTheCable } from './document/commands';
import { bandsOf, isPicked, ownCablesOf, powerOn, runOf } from './document/model';
import type { PlanEditing } from './document/usePlanEditing';
import { laid } from './ledger/mix';
import { useRows } from './ledger/useRows';
import { useSureness } from './ledger/useSureness';
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
  const follows = !isPicked(plan, chosen !== undefined);
  const rows = useRows({ plan, follows, focus }, catalogue, pointed ?? address.rowId);
  const rowId = rows.inRun?.id ?? null;
  const profile = useProfile(plan, catalogue, rowId, focus);
  const sureness = useSureness(
    rows.answered,
    rows.answered?.plan === plan && !rows.isStale,
    catalogue,
  );

  const { put } = address;
  const focusBand = useCallback((i: number) => put({ band: bands[i]?.id }), [put, bands]);
  const { command: dispatch } = editing;
  const { ledger, inRun } = rows;
  const command = useCallback(
    (c: Command) => {
      const isMoot = !follows || !inRun || !isAboutTheCable(c);
      dispatch(isMoot ? c : { ...c, drawn: laid(runOf(plan), inRun, ownCablesOf(plan)) });
    },
    [dispatch, follows, inRun, plan],
  );
  const pickRow = useCallback(
    (id: string) => {
      const row = ledger?.rows.find((r) => r.id === id);
      if (row) dispatch({ do: 'pick', run: laid(runOf(plan), row, ownCablesOf(plan)) });
      put({ row: undefined });
    },
    [dispatch, ledger, plan, put],
  );
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
    follows,
    answered: rows.answered,
    ledger,
    row: inRun,
    rowId,
    cableName: inRun?.name ?? '',
    isPresent: rowId !== null && rowId === ledger?.presentRowId,
    assessment: rows.drawn,
    atTolerance: rows.atTolerance,
    otherWeather: rows.otherWeather,
    sureness,
    profile,
    pointedAt: rows.pointedAt,
    stale: troubles.isAny || rows.isStale,
    isWaiting: rows.answered?.plan !== plan,
    problem: rows.problem,
    address,
    command,
    trouble: troubles.trouble,
    focusBand,
    pickRow,
    pointRow,
    saveNow: editing.saveNow,
  };
}
