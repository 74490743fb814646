import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { PieceLife } from '../../api';
import { answered, api } from '../../api';
import { capital } from '../../words';
import { today } from '../../units';
import { DayField } from '../../ui';

const BORE = [
  ['wet', 'wet'],
  ['frozen', 'frozen'],
  ['trodden', 'trodden on'],
] as const;

/** An outing that nobody noted when it happened. */
export function PastOuting({ life }: { life: PieceLife }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState({
    on: today(),
    until: today(),
    to: '',
    wet: false,
    frozen: false,
    trodden: false,
  });
  const note = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/api/locker/movements/{id}', {
          params: { path: { id: crypto.randomUUID() } },
          body: {
            ...said,
            kind: 'WAS_OUT',
            pieceIds: [life.summary.id],
            to: said.to.trim() || undefined,
          },
        }),
      ),
    onSuccess: () => {
      setOpen(false);
      void queries.invalidateQueries({ queryKey: ['locker'] });
    },
  });
  if (!open) {
    return (
      <button type="button" className="quiet self-start" onClick={() => setOpen(true)}>
        Note an outing that is over
      </button>
    );
  }
  return (
    <section
      aria-label="an outing that is over"
      className="flex flex-col gap-1.5 border-t border-hairline pt-3"
    >
      <span className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <span className="text-soft">It was out from</span>
        <DayField
          label="first day of the outing"
          value={said.on}
          onChange={(day) => setSaid({ ...said, on: day })}
        />
        <span className="text-soft">to</span>
        <DayField
          label="last day of the outing"
          value={said.until}
          onChange={(day) => setSaid({ ...said, until: day })}
        />
      </span>
      <input
        aria-label="where it was"
        placeholder="where it was, if you like"
        maxLength={200}
        className="boxed"
        value={said.to}
        onChange={(e) => setSaid({ ...said, to: e.target.value })}
      />
      <span className="flex gap-x-4">
        {BORE.map(([field, text]) => (
          <label key={field} className="inline-flex items-baseline gap-1.5">
            <input
              type="checkbox"
              checked={said[field]}
              onChange={(e) => setSaid({ ...said, [field]: e.target.checked })}
            />
            {text}
          </label>
        ))}
      </span>
      {note.isError && (
        <p role="alert" className="text-fail">
          {capital(note.error.message)}.
        </p>
      )}
      <span className="flex gap-x-4">
        <button
          type="button"
          className="action"
          disabled={note.isPending || said.on === '' || said.until === ''}
          onClick={() => note.mutate()}
        >
          Note the outing
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </span>
    </section>
  );
}
