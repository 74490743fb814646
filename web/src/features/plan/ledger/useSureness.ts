import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { ComparisonRequest, Ledger, Row } from '../../../api';
import { answered as answerOf, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { comparisonOf, isAnythingAsked } from '../document/model';
import type { Answered } from '../sheetContext';

/** How sure the rows of a ledger are, and what more certainty costs. */
export interface Sureness {
  /** A row with how sure it is; undefined where that is not known. */
  of: (rowId: string) => Row | undefined;
  /** From the cheapest to the surest. */
  steps: Ledger['chanceSteps'];
}

const UNKNOWN: Sureness = { of: () => undefined, steps: [] };

/**
 * Asked for once the ledger is there, and dropped by the next key.
 *
 * @param isSettled whether what is shown is of the plan as it is
 */
export function useSureness(shown: Answered | undefined, isSettled: boolean): Sureness {
  const { tolerances } = usePreferences().settings;
  const request = useMemo<ComparisonRequest | null>(
    () =>
      shown && isAnythingAsked(shown.plan)
        ? { ...comparisonOf(shown.plan, tolerances, []), confidence: true }
        : null,
    [shown, tolerances],
  );
  const sure = useQuery({
    queryKey: ['comparison', 'sureness', request],
    queryFn: ({ signal }) =>
      answerOf(api.POST('/api/comparisons', { body: request ?? {}, signal })),
    enabled: request !== null && isSettled,
    staleTime: 60_000,
    gcTime: 60_000,
    retry: false,
  }).data;
  return useMemo(() => {
    if (!sure) return UNKNOWN;
    const rows = new Map(sure.rows.map((r) => [r.id, r]));
    return {
      of: (id) => rows.get(id),
      steps: sure.chanceSteps,
    };
  }, [sure]);
}
