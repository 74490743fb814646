import { useMemo } from 'react';
import type { CableType, FoundKits } from '../../../api';
import { useFoundKits, usePieces } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useSettled } from '../../../ui';
import { kitsWanted } from './kits';
import type { Plan } from '../document/model';
import { comparisonOf } from '../document/model';

const SETTLED_MS = 400;

/** What the run could be made of without buying anything; undefined with an empty locker, or where no kit can stand in. */
export function useOwnKits(plan: Plan, catalogue: CableType[]): FoundKits | undefined {
  const { tolerances, demoHidden } = usePreferences().settings;
  const pieces = usePieces().data;
  const isEmpty = (pieces ?? []).every((p) => p.demo && demoHidden);
  const leaveOut = useMemo(
    () => (pieces ?? []).filter((p) => p.demo && demoHidden).map((p) => p.id),
    [pieces, demoHidden],
  );
  const request = useMemo(() => {
    const wanted = kitsWanted(plan, comparisonOf(plan, catalogue, tolerances, []));
    return wanted && { ...wanted, leaveOut };
  }, [plan, catalogue, tolerances, leaveOut]);
  // a search may take a second of the server: it waits until the hand rests
  const found = useFoundKits(useSettled(isEmpty ? null : request, SETTLED_MS));
  return isEmpty || request === null ? undefined : found.data;
}
