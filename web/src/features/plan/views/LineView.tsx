import { useRef } from 'react';
import { usePreferences } from '../../../app/preferences';
import { Plot, SaveDrawing } from '../../../ui';
import type { PlotCurve, PlotLimit } from '../../../ui';
import { FEET_PER_METRE, plain, significant } from '../../../units';
import { sentences, tightestSentence } from '../../../words';
import { bandName, runOf } from '../document/model';
import { elementName } from '../run/elements';
import { useSheet } from '../sheetContext';
import { tightestPlace } from './tightest';
import type { Profile } from '../run/useProfile';
import { boundsOf } from '../run/useProfile';

type Figure = 'voltageRms' | 'currentRms' | 'heatWPerM';

/** Voltage, current and heat along the run, with what its parts bear, and the tightest place by name. */
export function LineView() {
  const sheet = useSheet();
  const { plan, band, hasWatts, profile } = sheet;
  const { lengths } = usePreferences();
  const drawn = useRef<HTMLDivElement>(null);
  if (!hasWatts) {
    return <p className="px-4 py-6 text-soft">{sentences.receiverSendsNothing}</p>;
  }
  if (!profile) {
    return (
      <p role="status" className="px-4 py-6 text-soft">
        Following the waves along the run …
      </p>
    );
  }
  const run = runOf(plan);
  const name = (element: number) => {
    const there = run[element];
    return there ? elementName(there, sheet) : '';
  };
  const scale = lengths === 'm' ? 1 : FEET_PER_METRE;
  const tightest = tightestPlace(profile);

  const curve = (figure: Figure): PlotCurve[] =>
    profile.lines.map((line) => ({
      id: `${line.element}`,
      label: name(line.element),
      points: line.points.map((p) => {
        const { min, max } = boundsOf(p[figure]);
        return { x: p.fromRadioM * scale, y: max, low: min, high: max };
      }),
    }));
  const limit = (label: string, at: (line: Profile['lines'][number]) => number | null) =>
    profile.lines.flatMap((line): PlotLimit[] => {
      const y = at(line);
      const ends = [line.points[0], line.points.at(-1)].map((p) => (p?.fromRadioM ?? 0) * scale);
      return y === null ? [] : [{ label, from: ends[0] ?? 0, to: ends[1] ?? 0, y }];
    });
  const shared = {
    xLabel: lengths,
    height: 120,
    fromZero: true,
    say: (v: number) => (v === 0 ? '0' : significant(v)),
    sayX: (v: number) => plain(v, 1),
  };

  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
      ref={drawn}
      data-testid="line-view"
      role="region"
      aria-label="along the line"
      tabIndex={0}
    >
      <p className="text-right">
        <SaveDrawing name={`${plan.name}, line`} drawn={drawn} asSvg={false} />
      </p>
      <p className="pb-1">
        {tightest
          ? tightestSentence(tightest, name(tightest.element), bandName(band), lengths)
          : 'Nothing is known of what these parts bear.'}
      </p>
      <Plot
        {...shared}
        label={`voltage along the run on ${bandName(band)}`}
        yLabel="V r.m.s."
        curves={curve('voltageRms')}
        limits={near(
          curve('voltageRms'),
          limit('rated', (l) => l.voltageAtRatingRms),
        )}
      />
      <Plot
        {...shared}
        label={`current along the run on ${bandName(band)}`}
        yLabel="A r.m.s."
        curves={curve('currentRms')}
      />
      <Plot
        {...shared}
        label={`heat along the run on ${bandName(band)}`}
        yLabel="W/m of heat, key down"
        curves={curve('heatWPerM')}
        limits={near(
          curve('heatWPerM'),
          limit('rated, at this mode', (l) => l.heatAtRatingWPerM),
        )}
      />
      <ul className="grid gap-x-6 py-2 text-fine min-[700px]:grid-cols-2">
        {profile.lines.map((line) => (
          <li key={line.element}>
            <b>{name(line.element)}</b>: {plain(line.electricalLengthWavelengths, 2)} wavelengths,{' '}
            {significant(line.delayNs)} ns
            {line.powerMargin !== null && `, bears ${significant(line.powerMargin)} × the heat`}
            {line.voltageMargin !== null && `, ${significant(line.voltageMargin)} × the voltage`}
          </li>
        ))}
      </ul>
      <p className="pb-3 text-small text-soft">{sentences.atFullPower}</p>
    </div>
  );
}

/** A limit far above the curve would press it flat; the margins tell of it anyway. */
function near(curves: PlotCurve[], limits: PlotLimit[]): PlotLimit[] {
  const largest = Math.max(...curves.flatMap((c) => c.points.map((p) => p.high ?? p.y)));
  return limits.filter((l) => l.y < 3 * largest);
}
