import { PatternLines } from '@visx/pattern';
import { Link } from 'react-router';
import { usePreferences } from '../../app/preferences';
import { useWidth, VerdictMark } from '../../ui';
import { figureOf, lengthText, shownReading, unitOf } from '../../units';
import { ribbonPath, slotsOf, thicknesses } from '../plan';
import type { SiteDocument, SiteRun, SiteSheet } from './useSite';

const FULL = 34;
const HEIGHT = 48;
const MIDDLE = HEIGHT / 2;
const LEAST = 10;

/** All runs under each other at one scale of length and power, from the radios on the left to the antennas on the right. */
export function Lanes({ sheet, document }: { sheet: SiteSheet; document: SiteDocument }) {
  const longestM = Math.max(1, ...sheet.runs.map(lengthOf));
  const strongestW = Math.max(0, ...sheet.runs.map((r) => r.radioW ?? 0));
  return (
    <ol aria-label="runs" className="flex flex-col border-y border-ink">
      {sheet.runs.map((run) => (
        <Lane
          key={run.planId}
          run={run}
          lengthShare={lengthOf(run) / longestM}
          powerShare={run.radioW === null || strongestW === 0 ? 1 : run.radioW / strongestW}
          ducts={(document.ducts ?? []).flatMap((d, i) =>
            d.runs.includes(run.planId) ? [{ number: i + 1, name: d.name }] : [],
          )}
        />
      ))}
    </ol>
  );
}

function lengthOf(run: SiteRun): number {
  return run.elements.reduce((sum, e) => sum + e.lengthM, 0);
}

function Lane({
  run,
  lengthShare,
  powerShare,
  ducts,
}: {
  run: SiteRun;
  lengthShare: number;
  powerShare: number;
  ducts: { number: number; name: string }[];
}) {
  const { lengths, reading } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const shown = shownReading(reading, run.sends);
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b border-hairline py-1 last:border-b-0">
      <div className="w-[210px] min-w-0">
        <Link to={`/plans/${run.planId}`} className="block truncate font-semibold hover:text-blue">
          {run.name}
        </Link>
        <p className="truncate text-fine text-soft">
          {run.unfinished
            ? 'it cannot be assessed as it stands'
            : `${run.cable}, ${lengthText(lengthOf(run), lengths)}`}
          {ducts.length > 0 && (
            <span title={ducts.map((d) => d.name).join(', ')}>
              {' '}
              · duct {ducts.map((d) => d.number).join(', ')}
            </span>
          )}
        </p>
      </div>
      <div ref={box} className="min-w-[160px] flex-1">
        <Drawn run={run} width={width} lengthShare={lengthShare} powerShare={powerShare} />
      </div>
      {run.verdict && run.totalLossDb !== null && (
        <p className="flex w-[150px] items-baseline justify-end gap-2 whitespace-nowrap">
          <VerdictMark verdict={run.verdict} />
          <span className={`figures font-semibold ${run.sends ? 'text-copper-text' : ''}`}>
            {figureOf({ lossDb: run.totalLossDb, watts: run.powerAtAntennaW }, shown)}{' '}
            {unitOf(shown)}
          </span>
          <span className="text-fine text-soft">{run.band}</span>
        </p>
      )}
    </li>
  );
}

function Drawn({
  run,
  width,
  lengthShare,
  powerShare,
}: {
  run: SiteRun;
  width: number;
  lengthShare: number;
  powerShare: number;
}) {
  const least = LEAST * run.elements.length;
  const drawn = Math.min(width, least + Math.max(0, width - least) * lengthShare);
  const slots = slotsOf(run.elements, drawn, LEAST);
  const losses = [0];
  for (const element of run.elements) losses.push((losses.at(-1) ?? 0) + element.lossDb);
  const before = (run.totalLossDb ?? 0) - (losses.at(-1) ?? 0);
  const levels = (run.sends ? losses.map((l) => l + before) : losses.toReversed()).map(
    (lossDb) => ({ lossDb: Math.max(0, lossDb), watts: null }),
  );
  const full = FULL * powerShare;
  const colour = run.sends ? 'var(--copper)' : 'var(--ink-soft)';
  if (run.elements.length === 0) return <div style={{ height: HEIGHT }} />;
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
      <path d={ribbonPath(slots, thicknesses(levels, full), MIDDLE)} fill={colour} />
      {slots.map(
        (slot, i) =>
          run.elements[i]?.kind !== 'LINE' && (
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
