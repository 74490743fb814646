import { PatternLines } from '@visx/pattern';
import type { Schemas } from '../../api';
import type { Level } from '../../units';
import { ribbonPath, slotsOf, thicknesses } from '../plan';

const FULL = 46;
const HEIGHT = 58;
const MIDDLE = HEIGHT / 2;
const STEP = 18;
const LEAST = 10;

type Element = NonNullable<Schemas['AssessmentSpec']['run']>[number];

/**
 * One run among others, all at one scale of length and power. At its end stands the step: what it brings more than the
 * one it is read against in copper, what it brings less as the hatched gap.
 */
export function SideRibbon({
  run,
  levels,
  against,
  share,
  againstShare,
  width,
  lengthShare,
}: {
  run: readonly Element[];
  levels: Level[];
  against: Level[] | undefined;
  /** Its radio's power as a share of the greatest. */
  share: number;
  againstShare: number;
  width: number;
  /** Its length as a share of the longest. */
  lengthShare: number;
}) {
  const room = width - STEP - LEAST * run.length;
  const drawn = LEAST * run.length + Math.max(0, room) * lengthShare;
  const slots = slotsOf([...run], drawn, LEAST);
  const sends = levels.some((l) => l.watts !== null);
  const thickness = thicknesses(levels, FULL * share);
  const colour = sends ? 'var(--copper)' : 'var(--ink-soft)';
  const end = endOf(thickness, sends);
  const other = against && endOf(thicknesses(against, FULL * againstShare), sends);
  return (
    <svg width={width} height={HEIGHT} aria-hidden="true" className="block">
      <PatternLines
        id="side-ash"
        width={6}
        height={6}
        stroke="var(--ash)"
        strokeWidth={1}
        orientation={['diagonal']}
        background="var(--ash-ground)"
      />
      <rect
        y={MIDDLE - (FULL * share) / 2}
        width={drawn}
        height={FULL * share}
        fill="url(#side-ash)"
      />
      {levels.length === 0 && (
        <text y={MIDDLE + 4} x={18} fontSize="12" fill="var(--ink-soft)">
          not on this band
        </text>
      )}
      {levels.length > 0 && <path d={ribbonPath(slots, thickness, MIDDLE)} fill={colour} />}
      {slots.map(
        (slot, i) =>
          levels.length > 0 &&
          run[i]?.kind !== 'LINE' && (
            <path
              key={i}
              d={`M${slot.x + slot.width / 2} ${MIDDLE - FULL / 2 - 3}V${MIDDLE + FULL / 2 + 3}`}
              stroke="var(--ink)"
            />
          ),
      )}
      {end !== undefined && other !== undefined && (
        <Step x={drawn + 4} end={end} other={other} colour={colour} />
      )}
    </svg>
  );
}

/** Thickness where what is sent arrives: at the antenna, or at the receiver. */
function endOf(thickness: number[], sends: boolean): number | undefined {
  return sends ? thickness.at(-1) : thickness[0];
}

function Step({
  x,
  end,
  other,
  colour,
}: {
  x: number;
  end: number;
  other: number;
  colour: string;
}) {
  const isMore = end > other;
  // measured from the lower edge, so that the whole difference stands in one step
  const edge = (thickness: number) => MIDDLE + FULL / 2 - thickness;
  return (
    <g>
      <rect
        x={x}
        y={edge(Math.max(end, other))}
        width={STEP - 6}
        height={Math.abs(end - other)}
        fill={isMore ? colour : 'url(#side-ash)'}
        stroke="var(--ink)"
        strokeWidth="0.75"
      />
      <path
        d={`M${x - 4} ${edge(other)}H${x + STEP - 4}`}
        stroke="var(--ink)"
        strokeDasharray="2 2"
      />
    </g>
  );
}
