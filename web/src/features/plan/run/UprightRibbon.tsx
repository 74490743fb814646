import { useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { figureOf, shownReading, unitOf } from '../../../units';
import type { Level } from '../../../units';
import type { Element } from '../document/model';
import { isAside } from '../document/branches';
import { cableOf, powerOn, runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { UprightLabel } from './UprightLabel';
import { useWalk } from './useWalk';
import { AddHere } from './AddHere';
import { gapLabel, PlusMark } from './gaps';
import { PointReading } from './PointReading';
import { RadioName, RadioPower } from './RadioBox';
import { fallAlong, levelsOf, thicknesses } from './ribbonLayout';
import type { Place } from './ribbonLayout';

const FULL = 72;
const LINE_HEIGHT = 112;
const JOINT_HEIGHT = 64;

/** The run for a phone in the field: upright, the antenna on top, lengths by stepper. */
export function UprightRibbon() {
  const { plan, band, assessment, profile, stale, command } = useSheet();
  const { reading } = usePreferences();
  const run = runOf(plan);
  const walk = useWalk(run.length, command, cableOf(run), (i) => isAside(run[i], band));
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const levels = assessment ? levelsOf(assessment, radioW) : [];
  const thickness = thicknesses(levels, FULL);
  const colour = radioW === null ? 'var(--ink-soft)' : 'var(--copper)';
  const [tapped, setTapped] = useState<Place | null>(null);

  return (
    <section aria-label="run" className="border-b border-hairline px-4 py-3">
      <div className={stale ? 'opacity-40' : ''}>
        <svg width={FULL} height={34} aria-hidden="true" className="block">
          <path
            d={`M${FULL / 2} 34V18M${FULL / 2 - 24} 18h48M${FULL / 2 - 24} 12v12M${FULL / 2 + 24} 12v12M${FULL / 2 - 14} 8h28`}
            stroke="var(--ink)"
            strokeWidth="1.5"
            fill="none"
          />
        </svg>
      </div>
      <GapButton at={run.length} />
      <ol aria-label="elements from antenna to radio" onKeyDown={walk.onKeyDown}>
        {run
          .map((element, i) => ({ element, i }))
          .filter(({ element }) => !isAside(element, band))
          .toReversed()
          .map(({ element, i }) => (
            <li
              key={element.id ?? i}
              className="flex items-stretch gap-4"
              onFocus={() => walk.setCurrent(i)}
            >
              <Piece
                onTap={(way) => setTapped({ element: i, fromRadioM: metresTo(run, i, way) })}
                height={element.kind === 'LINE' ? LINE_HEIGHT : JOINT_HEIGHT}
                top={thickness[i + 1]}
                bottom={thickness[i]}
                colour={colour}
                isJoint={element.kind !== 'LINE'}
                stale={stale}
              />
              <div className="flex min-w-0 flex-1 flex-col justify-center">
                <UprightLabel
                  element={element}
                  index={i}
                  isStop={i === walk.current}
                  reading={`${levels[i + 1] ? figureOf(levels[i + 1] as Level, shown) : '–'} ${unitOf(shown)}`}
                />
              </div>
              <GapButton at={i} />
            </li>
          ))}
      </ol>
      {tapped && radioW !== null && (
        <p className="figures py-1 text-fine" role="status">
          <PointReading place={tapped} profile={profile} radioW={radioW} shown={shown} />
        </p>
      )}
      <div className="mt-1 inline-flex min-h-11 items-center gap-3 border border-ink px-3">
        <RadioName className="min-h-11" />
        <RadioPower className="" />
      </div>
    </section>
  );
}

/** Metres along the run to a place on one element, told as the share of its way from the radio. */
function metresTo(run: Element[], index: number, way: number): number {
  return run
    .slice(0, index + 1)
    .reduce(
      (sum, e, i) => sum + (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0) * (i === index ? way : 1),
      0,
    );
}

function GapButton({ at }: { at: number }) {
  const sheet = useSheet();
  return (
    <AddHere
      at={at}
      label={gapLabel(sheet, at)}
      text={<PlusMark />}
      isStop
      className="flex h-11 w-11 shrink-0 items-center justify-center self-end text-soft"
    />
  );
}

function Piece({
  onTap,
  height,
  top,
  bottom,
  colour,
  isJoint,
  stale,
}: {
  onTap: (way: number) => void;
  height: number;
  top: number | undefined;
  bottom: number | undefined;
  colour: string;
  isJoint: boolean;
  stale: boolean;
}) {
  const points =
    top === undefined || bottom === undefined
      ? []
      : fallAlong({ x: 0, width: height }, top, bottom);
  const at = ([y, half]: [number, number], sign: number) =>
    `${(FULL / 2 + sign * half).toFixed(1)} ${y.toFixed(1)}`;
  const path = [...points.map((p) => at(p, -1)), ...points.toReversed().map((p) => at(p, 1))].join(
    'L',
  );
  return (
    <svg
      width={FULL}
      height={height}
      aria-hidden="true"
      className={`shrink-0 ${stale ? 'opacity-40' : ''}`}
      onClick={(e) => onTap(1 - (e.clientY - e.currentTarget.getBoundingClientRect().top) / height)}
    >
      <rect width={FULL} height={height} fill="var(--ash-ground)" />
      {path && <path d={`M${path}Z`} fill={colour} />}
      {isJoint && (
        <path
          d={`M0 ${height / 2 - 2}H${FULL}M0 ${height / 2 + 2}H${FULL}`}
          stroke="var(--ink)"
          strokeWidth="1.25"
        />
      )}
    </svg>
  );
}
