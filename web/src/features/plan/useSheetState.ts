import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { CableType, Connector, Decision, StoredPlan } from '../../api';
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

const NONE: Decision[] = [];

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
  const decisions = useDecisions(stored.id).data ?? NONE;
  const chosen = decisions.find((d) => d.withdrawnAt === null)?.rowId;

  const bands = bandsOf(plan);
  const named = bands.findIndex((b) => b.id !== undefined && b.id === address.bandId);
  const focus = Math.max(0, named);
  const follows = !isPicked(plan, chosen !== undefined);
  const rows = useRows({ plan, follows, focus }, catalogue, pointed ?? address.rowId);
  const rowId = rows.inRun?.id ?? null;
  const profile = useProfile(plan, catalogue, rowId, focus);
  const sureness = useSureness(rows.answered, rows.answered?.plan === plan && !rows.isStale);

  const { put } = address;
  const focusBand = useCallback((i: number) => put({ band: bands[i]?.id }), [put, bands]);
  const { command: dispatch } = editing;
  const { ledger, inRun } = rows;
  // what a hand does is done to the sheet as it is then, by functions that stay the same
  const now = useRef({ plan, follows, inRun, ledger });
  useLayoutEffect(() => {
    now.current = { plan, follows, inRun, ledger };
  });
  const command = useCallback(
    (c: Command) => {
      const at = now.current;
      if (!at.follows || !at.inRun || !isAboutTheCable(c)) dispatch(c);
      else dispatch({ ...c, drawn: laid(runOf(at.plan), at.inRun, ownCablesOf(at.plan)) });
    },
    [dispatch],
  );
  const pickRow = useCallback(
    (id: string) => {
      const at = now.current;
      const row = at.ledger?.rows.find((r) => r.id === id);
      if (row) dispatch({ do: 'pick', run: laid(runOf(at.plan), row, ownCablesOf(at.plan)) });
      put({ row: undefined });
    },
    [dispatch, put],
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
