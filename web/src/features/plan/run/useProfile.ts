import { useMemo } from 'react';
import type { CableType, Schemas } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useSettled } from '../../../ui';
import type { Plan } from '../document/model';
import { bandsOf, powerOn } from '../document/model';
import { detailRequest } from '../ledger/useRows';

export type Profile = Schemas['ProfileResponse'];

/** What happens along the run follows so long after the last change: it is much, and nobody reads it while typing. */
const SETTLED_MS = 250;

/** Voltage, current, heat and margins along the run with one row's cable in it, on one band. */
export function useProfile(
  plan: Plan,
  catalogue: CableType[],
  rowId: string | null,
  focus: number,
): Profile | undefined {
  const { tolerances } = usePreferences().settings;
  const sends = powerOn(plan, bandsOf(plan)[focus]) !== null;
  const request = useMemo(
    () =>
      rowId === null || !sends
        ? null
        : detailRequest(plan, catalogue, rowId, focus, true, tolerances),
    [plan, catalogue, rowId, focus, sends, tolerances],
  );
  const answer = useLedger(useSettled(request, SETTLED_MS));
  return request === null ? undefined : (answer.data?.details[0]?.profile ?? undefined);
}

/** A figure of a profile as its smallest and largest; both are the same where the angle of the load is known. */
export function boundsOf(figure: number | { min: number | null; max: number | null } | null): {
  min: number;
  max: number;
} {
  if (figure === null) return { min: Infinity, max: Infinity };
  return typeof figure === 'number'
    ? { min: figure, max: figure }
    : { min: figure.min ?? Infinity, max: figure.max ?? Infinity };
}
