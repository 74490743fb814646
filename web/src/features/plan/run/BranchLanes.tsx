import { usePreferences } from '../../../app/preferences';
import { lengthText } from '../../../units';
import { forksOf, isAside, portsOf, towardOf } from '../document/branches';
import type { Band, Element } from '../document/model';
import { bandName, bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { elementName } from './elements';
import type { Slot } from './ribbonLayout';
import { HEIGHT, LANE_HEIGHT, middleOf } from './ribbonPlaces';

/** Another branch than that of the band in focus, and the fork where it leaves. */
export interface Lane {
  branch: string;
  name: string;
  fork: number;
  isTowardRadios: boolean;
  elements: Element[];
}

/** The branches that the band in focus does not go through, on each side of the run where it forks. */
export function lanesOf(run: readonly Element[], band: Band | undefined): Lane[] {
  return forksOf(run).flatMap((fork) => {
    const isTowardRadios = towardOf(run, fork) === 'RADIOS';
    return portsOf(run)
      .filter((p) => p.branch !== band?.branch)
      .map((p) => ({
        branch: p.branch,
        name: p.name ?? p.branch,
        fork,
        isTowardRadios,
        elements: run.filter(
          (e, i) =>
            e.kind !== 'FORK' &&
            e.branch === p.branch &&
            isAside(e, band) &&
            (isTowardRadios ? i < fork : i > fork),
        ),
      }));
  });
}

/**
 * The other branches as thin lines that leave the run where it forks; each brings its bands into focus. By key that is done in the
 * fork and in the bands.
 */
export function BranchLanes({ lanes, slots, end }: { lanes: Lane[]; slots: Slot[]; end: number }) {
  return lanes.map((lane, i) => (
    <BranchLane
      key={`${lane.fork} ${lane.branch}`}
      lane={lane}
      from={middleOf(slots[lane.fork])}
      to={lane.isTowardRadios ? 0 : end}
      y={HEIGHT + i * LANE_HEIGHT + 2}
    />
  ));
}

function BranchLane({ lane, from, to, y }: { lane: Lane; from: number; to: number; y: number }) {
  const sheet = useSheet();
  const { lengths } = usePreferences();
  const bands = bandsOf(sheet.plan);
  const own = bands.flatMap((b, i) => (b.branch === lane.branch ? [i] : []));
  const first = own[0];
  const through = lane.elements.map((e) =>
    e.kind === 'LINE'
      ? `${elementName(e, sheet)} ${lengthText(e.lengthM ?? 0, lengths)}`
      : elementName(e, sheet),
  );
  const named = own.map((i) => bandName(bands[i])).join(', ') || 'no band yet';
  const text = `${lane.name} (${named})${through.length > 0 ? `: ${through.join(', ')}` : ''}`;
  const bend = Math.sign(to - from) * 10;
  return (
    <g
      data-testid="branch"
      className={first === undefined ? '' : 'cursor-pointer hover:[&_path]:stroke-blue'}
      onClick={() => first !== undefined && sheet.focusBand(first)}
    >
      <rect
        x={Math.min(from, to)}
        y={y - 6}
        width={Math.abs(to - from)}
        height={LANE_HEIGHT}
        fill="transparent"
      />
      <path
        d={`M${from} ${HEIGHT - 46}V${y - 6}q0 6 ${bend} 6H${to}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.25"
      />
      <path
        d={`M${to - Math.sign(bend) * 4} ${y - 4}L${to} ${y}L${to - Math.sign(bend) * 4} ${y + 4}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.25"
      />
      <text
        x={bend > 0 ? from + 14 : from - 14}
        y={y + 11}
        fontSize="11"
        fill="var(--ink)"
        textAnchor={bend > 0 ? 'start' : 'end'}
      >
        {text}
      </text>
    </g>
  );
}
