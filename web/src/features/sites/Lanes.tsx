import { PatternLines } from '@visx/pattern';
import { Link } from 'react-router';
import type { Schemas } from '../../api';
import { usePreferences } from '../../app/preferences';
import { useWidth, VerdictMark } from '../../ui';
import { figureOf, lengthText, shownReading, unitOf } from '../../units';
import { levelsOfLosses, ribbonPath, slotsOf, thicknesses } from '../plan';
import type { PartProps } from './SitePage';
import type { SiteRun } from './useSite';

type Sketch = Schemas['PlanSketchResponse'];

const FULL = 34;
const HEIGHT = 48;
const MIDDLE = HEIGHT / 2;
const LEAST = 10;

/** All runs under each other at one scale of length and power, from the radios on the left to the antennas on the right. */
export function Lanes({ sheet, document }: PartProps) {
  const drawn = sheet.runs.flatMap((r) => r.sketch ?? []);
  const longestM = Math.max(1, ...drawn.map(lengthOf));
  const strongestW = Math.max(0, ...drawn.map((s) => s.radioPowerW ?? 0));
  return (
    <ol aria-label="runs" className="flex flex-col border-y border-ink">
      {sheet.runs.map((run) => (
        <li
          key={run.planId}
          className="flex flex-wrap items-center gap-x-4 border-b border-hairline py-1 last:border-b-0"
        >
          <Named run={run} ducts={ductsOf(run, document)} />
          {run.sketch && (
            <Lane
              sketch={run.sketch}
              lengthShare={lengthOf(run.sketch) / longestM}
              powerShare={
                run.sketch.radioPowerW === null || strongestW === 0
                  ? 1
                  : run.sketch.radioPowerW / strongestW
              }
            />
          )}
        </li>
      ))}
    </ol>
  );
}

function lengthOf(sketch: Sketch): number {
  return sketch.elements.reduce((sum, e) => sum + e.lengthM, 0);
}

/** The numbers and names of the ducts in which a run lies. */
function ductsOf(run: SiteRun, document: PartProps['document']) {
  return (document.ducts ?? []).flatMap((d, i) =>
    d.runs.includes(run.planId) ? [{ number: i + 1, name: d.name }] : [],
  );
}

function Named({ run, ducts }: { run: SiteRun; ducts: { number: number; name: string }[] }) {
  const { lengths } = usePreferences();
  return (
    <div className="w-[210px] min-w-0">
      <Link to={`/plans/${run.planId}`} className="block truncate font-semibold hover:text-blue">
        {run.name}
      </Link>
      <p className="truncate text-fine text-soft">
        {run.sketch
          ? `${run.sketch.cableName}, ${lengthText(lengthOf(run.sketch), lengths)}`
          : 'it cannot be assessed as it stands'}
        {ducts.length > 0 && (
          <span title={ducts.map((d) => d.name).join(', ')}>
            {' '}
            · duct {ducts.map((d) => d.number).join(', ')}
          </span>
        )}
      </p>
    </div>
  );
}

function Lane({
  sketch,
  lengthShare,
  powerShare,
}: {
  sketch: Sketch;
  lengthShare: number;
  powerShare: number;
}) {
  const { reading } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const sends = sketch.radioPowerW !== null;
  const shown = shownReading(reading, sends);
  return (
    <>
      <div ref={box} className="min-w-[160px] flex-1">
        <Drawn sketch={sketch} width={width} lengthShare={lengthShare} powerShare={powerShare} />
      </div>
      <p className="flex w-[150px] items-baseline justify-end gap-2 whitespace-nowrap">
        <VerdictMark verdict={sketch.verdict} />
        <span className={`figures font-semibold ${sends ? 'text-copper-text' : ''}`}>
          {figureOf({ lossDb: sketch.totalLossDb, watts: sketch.powerAtAntennaW }, shown)}{' '}
          {unitOf(shown)}
        </span>
        <span className="text-fine text-soft">{sketch.bandName}</span>
      </p>
    </>
  );
}

function Drawn({
  sketch,
  width,
  lengthShare,
  powerShare,
}: {
  sketch: Sketch;
  width: number;
  lengthShare: number;
  powerShare: number;
}) {
  const { elements } = sketch;
  const sends = sketch.radioPowerW !== null;
  const least = LEAST * elements.length;
  const drawn = Math.min(width, least + Math.max(0, width - least) * lengthShare);
  const slots = slotsOf(elements, drawn, LEAST);
  const levels = levelsOfLosses(
    elements.map((e) => e.lossDb),
    sketch.lossBeforeRunDb,
    sends,
  );
  const full = FULL * powerShare;
  return (
    <svg width={width} height={HEIGHT} aria-hidden="true" className="block">
      <PatternLines
        id="site-ash"
        width={6}
        height={6}
        stroke="var(--ash)"
        strokeWidth={1}
        orientation={['diagonal']}
        background="var(--ash-ground)"
      />
      <rect y={MIDDLE - full / 2} width={drawn} height={full} fill="url(#site-ash)" />
      <path
        d={ribbonPath(slots, thicknesses(levels, full), MIDDLE)}
        fill={sends ? 'var(--copper)' : 'var(--ink-soft)'}
      />
      {slots.map(
        (slot, i) =>
          elements[i]?.kind !== 'LINE' && (
            <path
              key={i}
              d={`M${slot.x + slot.width / 2} ${MIDDLE - FULL / 2 - 3}V${MIDDLE + FULL / 2 + 3}`}
              stroke="var(--ink)"
            />
          ),
      )}
    </svg>
  );
}
