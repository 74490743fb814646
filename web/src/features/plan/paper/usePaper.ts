import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Schemas } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import type { Plan } from '../document/model';
import { comparisonOf } from '../document/model';

export type RunSheet = Schemas['RunSheetResponse'];

/** What is needed to build a row: to buy, to cut, to expect. */
export function useRunSheet(plan: Plan, rowId: string | null) {
  const { tolerances } = usePreferences().settings;
  const request = useMemo(
    () => (rowId === null ? null : { comparison: comparisonOf(plan, tolerances, []), rowId }),
    [plan, tolerances, rowId],
  );
  return useQuery({
    queryKey: ['run-sheet', request],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/run-sheets', { body: request as Schemas['RunSheetRequest'], signal }),
      ),
    enabled: request !== null,
    placeholderData: keepPreviousData,
  });
}
