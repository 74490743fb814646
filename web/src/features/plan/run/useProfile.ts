import { useEffect, useMemo, useState } from 'react';
import type { CableType, ComparisonRequest, Schemas } from '../../../api';
import { useLedger } from '../../../api';
import type { Plan } from '../model';
import { bandsOf, powerOn } from '../model';
import { detailRequest } from '../useRows';

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
  const sends = powerOn(plan, bandsOf(plan)[focus]) !== null;
  const request = useMemo(
    () => (rowId === null || !sends ? null : detailRequest(plan, catalogue, rowId, focus, true)),
    [plan, catalogue, rowId, focus, sends],
  );
  const answer = useLedger(useSettled(request));
  return request === null ? undefined : (answer.data?.details[0]?.profile ?? undefined);
}

function useSettled(request: ComparisonRequest | null): ComparisonRequest | null {
  const [settled, setSettled] = useState(request);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(request), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [request]);
  return settled;
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
