import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answered, api } from '../../api';
import { KeptFor, useKept } from '../../ui';
import { PieceFields } from './PieceFields';
import type { PieceDraft } from './PieceFields';

/** A new piece: a label and a length are enough. What is typed is kept by the browser until it is stored. */
export function NewPiece(props: { onClose: () => void; onKept: (id: string) => void }) {
  return (
    <KeptFor.Provider value="new piece">
      <Sheet {...props} />
    </KeptFor.Provider>
  );
}

function Sheet({ onClose, onKept }: { onClose: () => void; onKept: (id: string) => void }) {
  const queries = useQueryClient();
  const kept = useKept<PieceDraft>('piece');
  const [draft, setDraft] = useState<PieceDraft>(
    () => kept.read() ?? { id: crypto.randomUUID(), label: '' },
  );
  useEffect(() => kept.keep(draft), [kept, draft]);
  const store = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/locker/pieces', { body: { ...draft, lengthM: draft.lengthM ?? 0 } })),
    onSuccess: (piece) => {
      kept.forget();
      void queries.invalidateQueries({ queryKey: ['locker'] });
      onKept(piece.summary.id);
    },
  });
  return (
    <section
      aria-label="new piece"
      className="flex flex-col gap-2 border-b border-hairline bg-raised px-4 py-3"
    >
      <PieceFields draft={draft} onChange={setDraft} />
      {store.isError && (
        <p role="alert" className="text-fail">
          {store.error.message}.
        </p>
      )}
      <span className="flex gap-4">
        <button
          type="button"
          className="action"
          disabled={store.isPending || draft.label.trim() === '' || draft.lengthM === undefined}
          onClick={() => store.mutate()}
        >
          Put it in
        </button>
        <button
          type="button"
          className="quiet"
          onClick={() => {
            kept.forget();
            onClose();
          }}
        >
          Cancel
        </button>
      </span>
    </section>
  );
}
