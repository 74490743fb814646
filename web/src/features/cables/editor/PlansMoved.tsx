import { useQuery } from '@tanstack/react-query';
import type { CableTypeSpec, CableType } from '../../../api';
import { answered, api } from '../../../api';
import { fixed } from '../../../units';
import { numberIn } from './draft';
import type { Draft } from './draft';

/** Which plans the change would move, told before it is stored. */
export function PlansMoved({
  type,
  draft,
  points,
}: {
  type: CableType;
  draft: Draft;
  points: CableTypeSpec['points'];
}) {
  const impedanceOhm = numberIn(draft, 'impedanceOhm');
  const velocityFactor = numberIn(draft, 'velocityFactor');
  const body =
    typeof impedanceOhm === 'number' && typeof velocityFactor === 'number' && points.length > 0
      ? { key: type.key, cable: { impedanceOhm, velocityFactor, attenuation: { points } } }
      : null;
  const effects = useQuery({
    queryKey: ['effects', body],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/plans/effects', { body: body as NonNullable<typeof body>, signal })),
    enabled: body !== null,
    retry: false,
  });
  const moved = effects.data ?? [];
  if (!effects.data) return null;
  return (
    <section aria-label="plans it moves">
      {moved.length === 0 ? (
        <p className="text-soft">It moves no plan.</p>
      ) : (
        <>
          <p>It moves {moved.length === 1 ? 'a plan' : `${moved.length} plans`}:</p>
          <ul>
            {moved.map((m) => (
              <li key={m.planId}>
                <span className="font-semibold">{m.name}</span>, {m.bandName}:{' '}
                <span className="figures">
                  {fixed(m.beforeDb, 2)} dB lost becomes {fixed(m.afterDb, 2)} dB
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
