import { useMemo } from 'react';
import type { CableType, FoundKits } from '../../../api';
import { useFoundKits, usePieces } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useSettled } from '../../../ui';
import { kitsWanted } from './kits';
import type { Plan } from '../document/model';
import { comparisonOf } from '../document/model';

const SETTLED_MS = 400;

export interface OwnKits {
  /** Undefined with an empty locker, where no kit can stand in, and while they are looked for. */
  found: FoundKits | undefined;
  /** Whether they are looked for, with none to show meanwhile. */
  isAwaited: boolean;
}

/** What the run could be made of without buying anything. */
export function useOwnKits(plan: Plan, catalogue: CableType[]): OwnKits {
  const { tolerances, demoHidden } = usePreferences().settings;
  const owned = usePieces();
  const pieces = owned.data;
  const isEmpty = (pieces ?? []).every((p) => p.demo && demoHidden);
  const leaveOut = useMemo(
    () => (pieces ?? []).filter((p) => p.demo && demoHidden).map((p) => p.id),
    [pieces, demoHidden],
  );
  const request = useMemo(() => {
    const wanted = kitsWanted(plan, comparisonOf(plan, catalogue, tolerances, []));
    return wanted && { ...wanted, leaveOut };
  }, [plan, catalogue, tolerances, leaveOut]);
  // a search may take a second of the server: but for the first, it waits until the hand rests
  const first = isEmpty ? null : request;
  const found = useFoundKits(useSettled(first, SETTLED_MS) ?? first);
  if (request === null) return { found: undefined, isAwaited: false };
  if (isEmpty) return { found: undefined, isAwaited: owned.isPending };
  return { found: found.data, isAwaited: found.isPending };
}
