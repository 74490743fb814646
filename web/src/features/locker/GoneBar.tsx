import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '../../api';

/** A piece was taken out of the locker for good, and can still be put back. */
export function GoneBar({ id, onDone }: { id: string; onDone: () => void }) {
  const queries = useQueryClient();
  const restore = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/locker/pieces/{id}/restore', { params: { path: { id } } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker'] });
      onDone();
    },
  });
  return (
    <p
      role="status"
      className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline bg-raised px-4 py-1.5"
    >
      The piece is out of the locker.
      <button type="button" className="quiet font-semibold" onClick={() => restore.mutate()}>
        Undo
      </button>
      <button type="button" className="quiet ml-auto" onClick={onDone}>
        Close
      </button>
      {restore.isError && <span className="text-fail">{restore.error.message}.</span>}
    </p>
  );
}
