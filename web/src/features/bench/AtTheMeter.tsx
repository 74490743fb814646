import { useState } from 'react';
import type { BenchNotes } from '../../api';
import { frequencyText } from '../../units';
import { textOf, withReading } from './notes';
import { RowFrequency } from './RowFrequency';

/** What the meter shows in one of the two set-ups, typed below it: one line a reading, in the order in which they are read. */
export function AtTheMeter({
  notes,
  reads,
  onChange,
}: {
  notes: BenchNotes;
  /** Without the cable, or through it. */
  reads: 'baseline' | 'through';
  onChange: (notes: BenchNotes) => void;
}) {
  const [isAsked, ask] = useState(false);
  const isReadAgain =
    reads === 'baseline' &&
    (isAsked || (notes.readings ?? []).some((r) => r.baselineAfter !== undefined));
  return (
    <div className="flex flex-col items-end">
      <ul
        aria-label={reads === 'baseline' ? 'read without the cable' : 'read through the cable'}
        className="flex flex-col text-fine min-[700px]:text-body"
      >
        {(notes.readings ?? []).map((reading, i) => {
          const at =
            reading.frequencyMHz === undefined
              ? `row ${i + 1}`
              : frequencyText(reading.frequencyMHz);
          return (
            <li key={i} className="flex items-baseline justify-end gap-x-1">
              {reads === 'baseline' ? (
                <RowFrequency notes={notes} index={i} onChange={onChange} />
              ) : (
                <span className="text-soft">{at}</span>
              )}
              <input
                aria-label={`${reads === 'baseline' ? 'without' : 'through'} the cable at ${at}`}
                className="in-place figures min-h-6 w-[12ch] text-right"
                placeholder="48 or 47-49"
                maxLength={60}
                autoComplete="off"
                spellCheck={false}
                value={reading[reads] ?? ''}
                onChange={(e) =>
                  onChange(withReading(notes, i, { [reads]: textOf(e.target.value) }))
                }
              />
              <span className="text-soft">W</span>
              {isReadAgain && (
                <>
                  <input
                    aria-label={`without the cable once more at ${at}`}
                    className="in-place figures min-h-6 w-[7ch] text-right"
                    placeholder="after"
                    maxLength={60}
                    autoComplete="off"
                    spellCheck={false}
                    value={reading.baselineAfter ?? ''}
                    onChange={(e) =>
                      onChange(withReading(notes, i, { baselineAfter: textOf(e.target.value) }))
                    }
                  />
                  <span className="text-soft">W</span>
                </>
              )}
            </li>
          );
        })}
      </ul>
      {reads === 'baseline' && !isReadAgain && (
        <button
          type="button"
          className="quiet text-fine"
          title="then the drift of the radio is known, not guessed"
          onClick={() => ask(true)}
        >
          Read it once more after
        </button>
      )}
    </div>
  );
}
