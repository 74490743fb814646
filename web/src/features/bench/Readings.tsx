import { useState } from 'react';
import type { BenchAnalysis, BenchNotes } from '../../api';
import { useNarrow } from '../../ui';
import { ReadingRow } from './ReadingRow';

interface Props {
  notes: BenchNotes;
  analysis: BenchAnalysis | undefined;
  fullDb: number;
  onChange: (notes: BenchNotes) => void;
}

/** One row a reading: what it comes to, at once; losses from another instrument are typed here, powers at the meter that is drawn. */
export function Readings({ notes, analysis, fullDb, onChange }: Props) {
  const readings = notes.readings ?? [];
  const isWattmeter = notes.method === 'WATTMETER';
  const hasLengths = readings.some((r) => r.lengthM !== undefined);
  const [isLooked, look] = useState(false);
  const hasReturned =
    !isWattmeter &&
    (isLooked ||
      readings.some(
        (r) => r.openReturnLossDb !== undefined || r.shortedReturnLossDb !== undefined,
      ));
  const narrow = useNarrow();
  return (
    <>
      <div
        className="max-w-full overflow-x-auto"
        role="region"
        aria-label="readings, to be scrolled"
        tabIndex={0}
      >
        <table aria-label="readings" className="w-full text-fine min-[700px]:text-body">
          <thead className="text-left text-small text-soft">
            <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal">
              <th scope="col">{isWattmeter ? 'at' : 'at, MHz'}</th>
              {hasLengths && <th scope="col">piece of</th>}
              {!(isWattmeter && narrow) && <th scope="col">loses, dB</th>}
              {hasReturned && <th scope="col">return loss open</th>}
              {hasReturned && <th scope="col">shorted</th>}
              {!narrow && (
                <>
                  <th scope="col">expected</th>
                  <th scope="col">
                    <span className="sr-only">drawn</span>
                  </th>
                  <th scope="col">it is</th>
                  <th scope="col">
                    <span className="sr-only">rows</span>
                  </th>
                </>
              )}
            </tr>
          </thead>
          <tbody>
            {readings.map((reading, i) => (
              <ReadingRow
                key={i}
                index={i}
                reading={reading}
                result={analysis?.readings[i]}
                allowedDb={
                  analysis?.figures.find((f) => f.frequencyMHz === reading.frequencyMHz)
                    ?.allowedDb ?? null
                }
                hasLengths={hasLengths}
                hasReturned={hasReturned}
                notes={notes}
                fullDb={fullDb}
                onChange={onChange}
              />
            ))}
          </tbody>
        </table>
      </div>
      <span className="flex flex-wrap gap-x-4">
        <button
          type="button"
          className="quiet"
          onClick={() => onChange({ ...notes, readings: [...readings, {}] })}
        >
          Add a band
        </button>
        {!isWattmeter && !hasReturned && (
          <button
            type="button"
            className="quiet"
            title="what an instrument at one end shows: half of it is the loss"
            onClick={() => look(true)}
          >
            Type return losses
          </button>
        )}
        {!hasLengths && (
          <button
            type="button"
            className="quiet"
            title="two lengths of one type part the cable from its connectors"
            onClick={() =>
              onChange({
                ...notes,
                readings: [
                  ...readings,
                  ...readings
                    .filter((r) => r.through || r.lossDb !== undefined)
                    .map((r) => ({
                      frequencyMHz: r.frequencyMHz,
                      lengthM: 2 * (notes.lengthM ?? 5),
                    })),
                ],
              })
            }
          >
            Add a length of it
          </button>
        )}
      </span>
    </>
  );
}
