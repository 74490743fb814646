import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Movement, Piece } from '../../api';
import { answered, api } from '../../api';
import { today } from '../../units';

/** A movement that was made, and can be amended and taken back. */
export interface Moved {
  id: string;
  movement: Movement;
  labels: string[];
}

/** A piece, as far as it is moved. */
export type Movable = Pick<Piece, 'id' | 'label' | 'outSince'>;

/** Taking out and putting away with one key each: done at once, then amended or taken back. */
export function useMoving() {
  const queries = useQueryClient();
  const [moved, setMoved] = useState<Moved | null>(null);
  const refresh = () => void queries.invalidateQueries({ queryKey: ['locker'] });

  const move = useMutation({
    mutationFn: ({ id, movement }: Moved) =>
      answered(api.PUT('/api/locker/movements/{id}', { params: { path: { id } }, body: movement })),
    onSuccess: (_, made) => {
      setMoved(made);
      refresh();
    },
  });
  const takeBack = useMutation({
    mutationFn: (id: string) =>
      answered(api.DELETE('/api/locker/movements/{id}', { params: { path: { id } } })),
    onSuccess: () => {
      setMoved(null);
      refresh();
    },
  });

  return {
    moved,
    trouble: move.error ?? takeBack.error,
    /** Takes pieces out, or puts them away; those that are there already, or not out, are left as they are. */
    go: (kind: 'TOOK_OUT' | 'PUT_AWAY', pieces: readonly Movable[]) => {
      const those = pieces.filter((p) => (p.outSince === null) === (kind === 'TOOK_OUT'));
      move.reset();
      takeBack.reset();
      if (those.length === 0) return;
      move.mutate({
        id: crypto.randomUUID(),
        movement: { kind, pieceIds: those.map((p) => p.id), on: today() },
        labels: those.map((p) => p.label),
      });
    },
    amend: (change: Partial<Movement>) => {
      if (moved) move.mutate({ ...moved, movement: { ...moved.movement, ...change } });
    },
    takeBack: () => {
      if (moved) takeBack.mutate(moved.id);
    },
    done: () => setMoved(null),
  };
}
