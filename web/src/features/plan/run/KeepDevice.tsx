import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '../../../api';
import { useSession } from '../../../app/session';
import type { Element } from '../document/model';

/** Keeps an element among one's own devices, so that it can be put into other runs. */
export function KeepDevice({ element, name }: { element: Element; name: string }) {
  const queries = useQueryClient();
  const { may } = useSession();
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/devices', {
          body: {
            id: crypto.randomUUID(),
            name,
            element: { ...element, id: undefined, branch: undefined, owned: undefined },
          },
        }),
      ),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['devices'] }),
  });
  if (element.kind === 'LINE' || element.kind === 'JOINT' || !may('MEMBER')) return null;
  return (
    <>
      <button
        type="button"
        className="quiet"
        disabled={keep.isPending || keep.isSuccess}
        onClick={() => keep.mutate()}
      >
        {keep.isSuccess ? 'Kept among my devices' : 'Keep it among my devices'}
      </button>
      {keep.error && (
        <span role="alert" className="text-fail">
          {keep.error.message}
        </span>
      )}
    </>
  );
}
