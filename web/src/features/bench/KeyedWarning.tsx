import { useQuery } from '@tanstack/react-query';
import { answered, api } from '../../api';

const ASK_AGAIN_MS = 5000;

/** A radio that was keyed and did not confirm that it is off: somebody has to see to it, now. */
export function KeyedWarning() {
  const keyed = useQuery({
    queryKey: ['keyed'],
    queryFn: () => answered(api.GET('/api/instruments/keyed')),
    refetchInterval: ASK_AGAIN_MS,
  });
  const addresses = keyed.data?.addresses ?? [];
  if (addresses.length === 0) return null;
  return (
    <p role="alert" className="border-2 border-fail px-3 py-2 font-semibold text-fail">
      The transmitter at {addresses.join(' and ')} may still be keyed. Switch it off by hand, at the
      radio.
    </p>
  );
}
