import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { CableType } from '../../api';
import { answered, api } from '../../api';

/** Loss per 100 m of every type at one frequency, from the core. */
export function useLosses(types: readonly CableType[], atMHz: number): Map<string, number> {
  const { data } = useQuery({
    // of a changed type another is told
    queryKey: ['curves', 'losses', types.map((t) => `${t.key} ${t.revision}`).join(), atMHz],
    queryFn: ({ signal }) =>
      answered(api.GET('/api/cable-losses', { params: { query: { atMHz } }, signal })),
    enabled: types.length > 0,
    placeholderData: keepPreviousData,
  });
  return useMemo(() => new Map((data ?? []).map((l) => [l.key, l.attenuationDbPer100m])), [data]);
}
