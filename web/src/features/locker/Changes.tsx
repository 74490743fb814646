import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { PieceLife, Schemas } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { DayField, QuantityField, Select } from '../../ui';
import { lengthFigure, lengthText, today } from '../../units';
import { capital } from '../../words';

type Kind = Schemas['PieceChangeRequest']['kind'];

/** What was done to a piece: mended, a new end, retired, used again; the last of it can be taken back. */
export function Changes({ life }: { life: PieceLife }) {
  const { summary } = life;
  const { lengths } = usePreferences();
  const queries = useQueryClient();
  const isRetired = summary.standing === 'RETIRED';
  const [kind, setKind] = useState<Kind>('REPAIR');
  const [on, setOn] = useState(today());
  const [lengthAfterM, setLengthAfterM] = useState<number | undefined>(undefined);
  const [note, setNote] = useState('');
  const last = life.events.findLast((e) =>
    ['REPAIR', 'NEW_END', 'RETIRED', 'BACK_IN_SERVICE'].includes(e.kind),
  );
  const refresh = () => void queries.invalidateQueries({ queryKey: ['locker'] });
  const change = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/locker/pieces/{id}/changes', {
          params: { path: { id: summary.id } },
          body: {
            id: crypto.randomUUID(),
            kind: chosen,
            on,
            lengthAfterM: chosen === 'NEW_END' ? lengthAfterM : undefined,
            note: note.trim() || undefined,
          },
        }),
      ),
    onSuccess: () => {
      setNote('');
      setLengthAfterM(undefined);
      refresh();
    },
  });
  const takeBack = useMutation({
    mutationFn: (id: string) =>
      answered(
        api.DELETE('/api/locker/pieces/{id}/changes/{change}', {
          params: { path: { id: summary.id, change: id } },
        }),
      ),
    onSuccess: refresh,
  });
  const offered: readonly { value: Kind; text: string }[] = isRetired
    ? [{ value: 'BACK_IN_SERVICE', text: 'used again' }]
    : [
        { value: 'REPAIR', text: 'mended' },
        { value: 'NEW_END', text: 'given a new end' },
        { value: 'RETIRED', text: 'retired' },
      ];
  const chosen = offered.some((o) => o.value === kind) ? kind : (offered[0]?.value ?? 'REPAIR');
  const trouble = change.error ?? takeBack.error;
  return (
    <section
      aria-label="what was done to it"
      className="flex flex-col gap-1.5 border-t border-hairline pt-3"
    >
      <span className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <span className="text-soft">It was</span>
        <Select label="what was done" value={chosen} options={offered} onChange={setKind} />
        {chosen === 'NEW_END' && (
          <>
            <span className="text-soft">and is now</span>
            <QuantityField
              label="length with the new end"
              kind="length"
              unit={lengths}
              unitLabel={lengths}
              least={0.01}
              value={lengthAfterM}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={setLengthAfterM}
            />
          </>
        )}
        <span className="text-soft">on</span>
        <DayField label="day it was done" value={on} onChange={(day) => setOn(day)} />
      </span>
      <input
        aria-label="note on what was done"
        placeholder="what was seen, if anything"
        maxLength={1000}
        className="boxed"
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      {trouble && (
        <p role="alert" className="text-fail">
          {capital(trouble.message)}.
        </p>
      )}
      <span className="flex flex-wrap gap-x-4">
        <button
          type="button"
          className="action"
          disabled={change.isPending || on === '' || (chosen === 'NEW_END' && !lengthAfterM)}
          onClick={() => change.mutate()}
        >
          Note it
        </button>
        {last?.id && (
          <button
            type="button"
            className="quiet"
            onClick={() => last.id && takeBack.mutate(last.id)}
          >
            Take back what was noted on {last.on}
          </button>
        )}
      </span>
    </section>
  );
}
