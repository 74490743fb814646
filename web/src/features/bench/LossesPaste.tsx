import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { BenchNotes, Schemas } from '../../api';
import { answered, api } from '../../api';
import { Select } from '../../ui';
import { capital } from '../../words';

type Figure = NonNullable<Schemas['LossTableRequest']['figure']>;

const FIGURES: readonly { value: Figure; text: string }[] = [
  { value: 'LOSS', text: 'losses in dB' },
  { value: 'PERCENT_ARRIVING', text: 'percent that arrives' },
  { value: 'PERCENT_LOST', text: 'percent that is lost' },
  { value: 'OPEN_RETURN_LOSS', text: 'return losses, far end open' },
  { value: 'SHORTED_RETURN_LOSS', text: 'return losses, far end shorted' },
  { value: 'BOTH_RETURN_LOSSES', text: 'return losses, open and then shorted' },
];

/** Losses out of a table that was copied, in any usual form and as whatever another instrument shows. */
export function LossesPaste({
  notes,
  onChange,
}: {
  notes: BenchNotes;
  onChange: (notes: BenchNotes) => void;
}) {
  const [text, setText] = useState('');
  const [figure, setFigure] = useState<Figure>('LOSS');
  const read = useMutation({
    mutationFn: () => answered(api.POST('/api/bench/loss-tables', { body: { text, figure } })),
    onSuccess: (table) => {
      const typed = (notes.readings ?? []).filter((r) => r.lossDb !== undefined);
      onChange({
        ...notes,
        readings: [
          ...typed,
          ...table.rows.map((r) => ({
            frequencyMHz: r.frequencyMHz,
            lossDb: r.lossDb ?? undefined,
            openReturnLossDb: r.openReturnLossDb ?? undefined,
            shortedReturnLossDb: r.shortedReturnLossDb ?? undefined,
          })),
        ],
      });
      setText('');
    },
  });
  const skipped = read.data?.skipped ?? [];
  return (
    <form
      className="flex max-w-[460px] flex-col items-start gap-1"
      onSubmit={(e) => {
        e.preventDefault();
        read.mutate();
      }}
    >
      <label className="flex w-full flex-col gap-0.5">
        <span className="text-small text-soft">
          or paste a table of this piece as it was measured, frequency first
        </span>
        <textarea
          aria-label="table of losses"
          className="boxed figures min-h-16 w-full"
          spellCheck={false}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <span className="flex flex-wrap items-baseline gap-x-3">
        <Select label="its figures are" value={figure} options={FIGURES} onChange={setFigure} />
        <button
          type="submit"
          className="quiet font-semibold"
          disabled={text.trim() === '' || read.isPending}
        >
          Read what is pasted
        </button>
      </span>
      {figure.endsWith('RETURN_LOSS') && (
        <p className="text-fine text-soft">
          A return loss is of the way there and back: half of it is taken as the loss, as an
          estimate; both looks together make it a measurement.
        </p>
      )}
      {read.isError && (
        <p role="alert" className="text-fail">
          {capital(read.error.message)}.
        </p>
      )}
      {skipped.length > 0 && (
        <div role="status" className="text-fine">
          <p className="text-marginal">
            {skipped.length === 1
              ? 'One line was not understood:'
              : `${skipped.length} lines were not understood:`}
          </p>
          <ul className="text-soft">
            {skipped.map((s, i) => (
              <li key={i}>
                {s.line > 0 && `line ${s.line}, `}“{s.text}”: {s.why}
              </li>
            ))}
          </ul>
        </div>
      )}
    </form>
  );
}
