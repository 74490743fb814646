import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { BenchNotes } from '../../api';
import { answered, api } from '../../api';
import { capital } from '../../words';

/** Losses out of a table that was copied, in any usual form: MHz and dB. */
export function LossesPaste({
  notes,
  onChange,
}: {
  notes: BenchNotes;
  onChange: (notes: BenchNotes) => void;
}) {
  const [text, setText] = useState('');
  const read = useMutation({
    mutationFn: () => answered(api.POST('/api/bench/loss-tables', { body: { text } })),
    onSuccess: (rows) => {
      const typed = (notes.readings ?? []).filter((r) => r.lossDb !== undefined);
      onChange({ ...notes, readings: [...typed, ...rows] });
      setText('');
    },
  });
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
          or paste a table, frequency first: MHz and dB of this piece, as measured
        </span>
        <textarea
          aria-label="table of losses"
          className="boxed figures min-h-16 w-full"
          spellCheck={false}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      {read.isError && (
        <p role="alert" className="text-fail">
          {capital(read.error.message)}.
        </p>
      )}
      <button
        type="submit"
        className="quiet font-semibold"
        disabled={text.trim() === '' || read.isPending}
      >
        Read what is pasted
      </button>
    </form>
  );
}
