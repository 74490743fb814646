import { useMemo } from 'react';
import type { FoundKits } from '../../../api';
import { useFoundKits, useLockerOverview, usePieces } from '../../../api';
import { useSession } from '../../../app/session';
import { usePreferences } from '../../../app/preferences';
import { useSettled } from '../../../ui';
import { kitsWanted } from './kits';
import type { Plan } from '../document/model';
import { comparisonOf } from '../document/model';

const SETTLED_MS = 400;

const OF_THE_DEMO = { demo: true, limit: 500 };

export interface OwnKits {
  /** Undefined with an empty locker, where no kit can stand in, and while they are looked for. */
  found: FoundKits | undefined;
  /** Whether they are looked for, with none to show meanwhile. */
  isAwaited: boolean;
}

/** What the run could be made of without buying anything. */
export function useOwnKits(plan: Plan): OwnKits {
  const { tolerances, demoHidden } = usePreferences().settings;
  const isVisit = useSession().visitUntil !== null;
  const owned = useLockerOverview(demoHidden, !isVisit);
  const demo = usePieces(demoHidden ? OF_THE_DEMO : null);
  const demoPieces = demo.data?.items;
  const isEmpty = isVisit || !owned.data || owned.data.pieces === 0 || (demoHidden && !demoPieces);
  const leaveOut = useMemo(() => (demoPieces ?? []).map((p) => p.id), [demoPieces]);
  const request = useMemo(() => {
    const wanted = kitsWanted(plan, comparisonOf(plan, tolerances, []));
    return wanted && { ...wanted, leaveOut };
  }, [plan, tolerances, leaveOut]);
  // a search may take a second of the server: but for the first, it waits until the hand rests
  const first = isEmpty ? null : request;
  const found = useFoundKits(useSettled(first, SETTLED_MS) ?? first);
  if (request === null) return { found: undefined, isAwaited: false };
  if (isEmpty) return { found: undefined, isAwaited: owned.isLoading || demo.isLoading };
  return { found: found.data, isAwaited: found.isPending };
}
