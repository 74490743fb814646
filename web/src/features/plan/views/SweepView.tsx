import { useRef } from 'react';
import { usePreferences } from '../../../app/preferences';
import { Plot } from '../../../ui';
import { plain } from '../../../units';
import { bandName, bandsOf, candidateLengthM } from '../document/model';
import { useSheet } from '../sheetContext';
import { SweepControls } from './SweepControls';
import { SweptRows } from './SweptRows';
import { isSwr, useSweep } from './useSweep';
import { sentences } from '../../../words';

/** An SWR above this says only that it is bad. */
const MOST_SWR = 10;

/** Candidates over frequency, with the bands marked, or over length: what arrives, and the SWR at either end. */
export function SweepView() {
  const { plan } = useSheet();
  const { lengths } = usePreferences();
  const drawing = useRef<HTMLDivElement>(null);
  const sweep = useSweep();
  const { over, figure, answer, shown, unit, curves } = sweep;
  const isOfSwr = isSwr(figure);
  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
      data-testid="sweep-view"
      role="region"
      aria-label="curves"
      tabIndex={0}
    >
      <SweepControls sweep={sweep} drawing={drawing} />
      <SweptRows sweep={sweep} />
      {answer.error && (
        <p role="alert" className="text-fail">
          {answer.error.message}.
        </p>
      )}
      {sweep.rows.length === 0 && <p className="py-6 text-soft">Choose a cable to draw.</p>}
      <div ref={drawing}>
        <Plot
          label={`${unit} over ${over}`}
          xLabel={over === 'frequency' ? 'MHz' : lengths}
          yLabel={unit}
          height={330}
          isLog={over === 'frequency'}
          fromZero={!isOfSwr && (shown === 'watts' || shown === 'percent' || figure === 'matched')}
          mostY={isOfSwr ? MOST_SWR : undefined}
          curves={curves}
          marks={
            over === 'frequency'
              ? bandsOf(plan).map((b) => ({ x: b.frequencyMHz ?? 0, label: bandName(b) }))
              : [{ x: candidateLengthM(plan) * sweep.scale, label: 'now' }]
          }
          say={(v) => plain(v, isOfSwr ? 2 : 1)}
          sayX={(v) => plain(v, v < 10 ? 2 : v < 100 ? 1 : 0)}
        />
      </div>
      {over === 'frequency' && (
        <p className="pb-3 text-small text-soft">{sentences.betweenTheBands}</p>
      )}
    </div>
  );
}
