import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { PieceLife, PieceSpec } from '../../api';
import { answered, api, Refused } from '../../api';
import { capital } from '../../words';
import { PieceFields } from './PieceFields';
import type { PieceDraft } from './PieceFields';

/** What is said of a piece, changed. */
export function EditPiece({ life, onDone }: { life: PieceLife; onDone: () => void }) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<PieceDraft>(() => specOf(life));
  const store = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/api/locker/pieces/{id}', {
          params: { path: { id: life.summary.id } },
          body: { ...draft, lengthM: draft.lengthM ?? 0 },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker'] });
      onDone();
    },
  });
  const isOvertaken = store.error instanceof Refused && store.error.problem.status === 409;
  return (
    <>
      <PieceFields draft={draft} onChange={setDraft} />
      {store.isError && (
        <p role="alert" className="text-fail">
          {capital(store.error.message)}.
        </p>
      )}
      <span className="flex gap-4">
        <button
          type="button"
          className="action"
          disabled={store.isPending || draft.label.trim() === '' || draft.lengthM === undefined}
          onClick={() => store.mutate()}
        >
          Keep it so
        </button>
        <button
          type="button"
          className="quiet"
          onClick={() => {
            if (isOvertaken) void queries.invalidateQueries({ queryKey: ['locker'] });
            onDone();
          }}
        >
          {isOvertaken ? 'Take what is there now' : 'Cancel the change'}
        </button>
      </span>
    </>
  );
}

function specOf({ summary }: PieceLife): PieceSpec {
  return {
    version: summary.version,
    label: summary.label,
    cableKey: summary.cableKey ?? undefined,
    lengthM: summary.lengthM,
    near: summary.near ?? undefined,
    far: summary.far ?? undefined,
    boughtOn: summary.boughtOn ?? undefined,
    price: summary.price ?? undefined,
    priceCurrency: summary.priceCurrency ?? undefined,
    keptAt: summary.keptAt ?? undefined,
    note: summary.note ?? undefined,
    earlier: summary.earlier ?? undefined,
  };
}

/** Takes a piece out of the locker; it can be put back. */
export function DeletePiece({ life }: { life: PieceLife }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const remove = useMutation({
    mutationFn: () =>
      answered(
        api.DELETE('/api/locker/pieces/{id}', { params: { path: { id: life.summary.id } } }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker', 'pieces'] });
      void navigate(`/locker?gone=${life.summary.id}`);
    },
  });
  return (
    <>
      <button type="button" className="quiet" onClick={() => remove.mutate()}>
        Remove it from the locker for good
      </button>
      {remove.isError && (
        <p role="alert" className="text-fail">
          {remove.error.message}.
        </p>
      )}
    </>
  );
}
