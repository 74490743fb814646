import { useMemo } from 'react';
import { useAssessment } from '../../../api';
import { fixed } from '../../../units';
import { bandName, runOf } from '../document/model';
import type { Element } from '../document/model';
import { useSheet } from '../sheetContext';
import type { Preamplifier } from './PreamplifierFacts';

interface Place {
  text: string;
  /** Where it would stand in the run. */
  at: number;
}

/** What the run costs on receive with the preamplifier at the mast, at the radio, and without it; a press moves it. */
export function PreamplifierPlaces({
  preamplifier,
  index,
}: {
  preamplifier: Preamplifier;
  index: number;
}) {
  const { plan, band, command } = useSheet();
  const run = runOf(plan);
  const places = placesOf(run);
  const without = run.toSpliced(index, 1);
  return (
    <div className="flex flex-col gap-1 border-t border-hairline pt-2">
      <p className="text-small text-soft">
        what the run costs on {bandName(band)} in signal over noise
      </p>
      {places.map((place) => (
        <button
          key={place.text}
          type="button"
          aria-pressed={place.at === index}
          className={`flex min-h-6 items-baseline justify-between gap-4 border px-2 py-0.5 text-left max-[899px]:min-h-11 ${place.at === index ? 'border-ink' : 'border-control'}`}
          onClick={() =>
            place.at !== index && command({ do: 'moveElement', from: index, to: place.at })
          }
        >
          {place.text}
          <Penalty run={without.toSpliced(place.at, 0, preamplifier)} />
        </button>
      ))}
      <p className="flex justify-between gap-4 px-2 text-soft">
        without it
        <Penalty run={without} />
      </p>
    </div>
  );
}

/** The two ends of what is common to all branches. */
function placesOf(run: readonly Element[]): Place[] {
  const way = run.flatMap((e, i) => (e.kind === 'FORK' || e.branch ? [] : [i]));
  return [
    { text: 'at the mast', at: way.at(-1) ?? 0 },
    { text: 'at the radio', at: way[0] ?? 0 },
  ];
}

function Penalty({ run }: { run: Element[] }) {
  const { plan, band } = useSheet();
  const request = useMemo(
    () => (band ? { ...plan.document.assessment, run, bands: [band] } : null),
    [plan, band, run],
  );
  const penaltyDb = useAssessment(request).data?.bands[0]?.receivePenaltyDb;
  return (
    <span className="figures font-semibold">
      {penaltyDb === undefined || penaltyDb === null ? '–' : `${fixed(penaltyDb, 1)} dB`}
    </span>
  );
}
