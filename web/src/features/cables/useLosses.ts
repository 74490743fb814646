import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { CableType } from '../../api';
import { answered, api } from '../../api';

/** Loss per 100 m of every type at one frequency, from the core. */
export function useLosses(types: readonly CableType[], atMHz: number): Map<string, number> {
  const keys = types.map((t) => t.key);
  const answer = useQuery({
    queryKey: ['curves', 'losses', keys, atMHz],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/cable-types/curves', {
          body: { keys: keys.slice(0, 64), frequenciesMHz: [atMHz] },
          signal,
        }),
      ),
    enabled: keys.length > 0,
    placeholderData: keepPreviousData,
  });
  return new Map(
    (answer.data?.curves ?? []).map((c) => [c.key, c.points[0]?.attenuationDbPer100m ?? 0]),
  );
}
