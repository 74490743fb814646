import { PatternLines } from '@visx/pattern';
import { usePreferences } from '../../../app/preferences';
import { figureOf, levelText, shownReading } from '../../../units';
import type { Reading } from '../../../units';
import { isAside } from '../document/branches';
import { bandName, powerOn, runOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { asAnswered, useSheet } from '../sheetContext';
import { BranchLanes, lanesOf } from './BranchLanes';
import { AntennaMark, BOTTOM, BreakMark, ElementMark, TOP } from './marks';
import { Outline, Power } from './Power';
import { isCompressed, levelsOf, placeAt, sizedOn } from './ribbonLayout';
import type { Place } from './ribbonLayout';
import {
  ANTENNA_WIDTH,
  boundaryX,
  dropX,
  endOf,
  HEIGHT,
  LANE_HEIGHT,
  middleOf,
  RUN_LEFT,
  STUB,
} from './ribbonPlaces';
import { StandingWave } from './StandingWave';
import type { RunDrag } from './useRunDrag';
import { STOP } from './useWalk';

/** A place on the drawing that is pointed at. */
export type PlaceOnRibbon = Place & { x: number };

/** The drawing: power as thickness, heat as hatching, the standing wave over it, and the marks of the elements. */
export function RibbonDrawing({
  drag,
  runWidth,
  place,
  onPlace,
}: {
  drag: RunDrag;
  runWidth: number;
  place: PlaceOnRibbon | null;
  onPlace: (place: PlaceOnRibbon | null) => void;
}) {
  const sheet = useSheet();
  const { reading } = usePreferences();
  const { plan, band, profile, stale } = sheet;
  const { slots } = drag;
  const run = runOf(plan);
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const end = endOf(slots, runWidth);
  const lanes = lanesOf(run, band);
  return (
    <svg
      width={RUN_LEFT + runWidth + ANTENNA_WIDTH}
      height={HEIGHT + lanes.length * LANE_HEIGHT}
      className={`block ${stale ? 'opacity-40' : ''}`}
      role="img"
      aria-label={told(asAnswered(sheet), shown)}
      onPointerMove={(e) => {
        const x = e.clientX - e.currentTarget.getBoundingClientRect().left - RUN_LEFT;
        const at = x >= 0 && x <= runWidth ? placeAt(sizedOn(run, band), slots, x) : null;
        onPlace(at && { ...at, x });
      }}
      onPointerLeave={() => onPlace(null)}
    >
      <PatternLines
        id="ash"
        width={6}
        height={6}
        stroke="var(--ash)"
        strokeWidth={1}
        orientation={['diagonal']}
        background="var(--ash-ground)"
      />
      <g transform={`translate(${RUN_LEFT} 0)`}>
        <Levels drag={drag} end={end} />
        {profile && !drag.isDragging && <StandingWave run={run} slots={slots} profile={profile} />}
        <Marks drag={drag} />
        <LevelFigures drag={drag} shown={shown} />
        {place && radioW !== null && (
          <path
            d={`M${place.x} ${TOP - 4}V${BOTTOM + 4}`}
            stroke="var(--blue)"
            strokeDasharray="3 2"
          />
        )}
        {drag.carried && (
          <path
            d={`M${dropX(slots, drag.carried.index, drag.carried.target)} ${TOP - 10}V${BOTTOM + 10}`}
            stroke="var(--blue)"
            strokeWidth="3"
          />
        )}
        <AntennaMark x={end} />
        <BranchLanes lanes={lanes} slots={slots} end={end} />
      </g>
    </svg>
  );
}

/** Power along the run, and as an outline that of the row pointed at. */
function Levels({ drag, end }: { drag: RunDrag; end: number }) {
  const { plan, band, assessment, pointedAt } = asAnswered(useSheet());
  const radioW = powerOn(plan, band);
  return (
    <>
      {assessment && (
        <Power
          slots={drag.slots}
          levels={levelsOf(assessment, radioW)}
          isReceiver={radioW === null}
          stub={STUB}
          width={end}
        />
      )}
      {pointedAt && <Outline slots={drag.slots} levels={levelsOf(pointedAt, radioW)} />}
    </>
  );
}

/** The elements; each opens as its name below does. A line drawn shorter than it is has a break. */
function Marks({ drag }: { drag: RunDrag }) {
  const { plan, band } = useSheet();
  const run = runOf(plan);
  const compressed = isCompressed(sizedOn(run, band), drag.slots);
  return (
    <>
      {drag.slots.map(
        (slot, i) => compressed[i] && <BreakMark key={i} x={slot.x + slot.width / 2} />,
      )}
      {run.map((element, i) =>
        isAside(element, band) ? null : (
          <g
            key={element.id ?? i}
            className="cursor-pointer"
            onClick={(e) => openElement(e.currentTarget, i)}
          >
            <ElementMark element={element} x={middleOf(drag.slots[i])} />
          </g>
        ),
      )}
    </>
  );
}

function LevelFigures({ drag, shown }: { drag: RunDrag; shown: Reading }) {
  const { plan, band, assessment } = asAnswered(useSheet());
  const levels = assessment ? levelsOf(assessment, powerOn(plan, band)) : [];
  return (
    <g className="figures" fontSize="11" fill="var(--ink)">
      {levels.map((level, i) =>
        i > 0 && drag.slots[i - 1]?.width === 0 ? null : (
          <text key={i} x={boundaryX(drag.slots, i)} y={28} textAnchor="middle">
            {figureOf(level, shown)}
          </text>
        ),
      )}
    </g>
  );
}

/** A mark on the drawing opens as its name below does. */
function openElement(mark: Element, index: number) {
  mark.closest('section')?.querySelector<HTMLElement>(`[${STOP}="${index}"]`)?.click();
}

function told({ band, hasWatts, assessment, cableName }: Sheet, shown: Reading): string {
  if (!assessment) return 'the run';
  const arriving = { lossDb: assessment.totalLossDb, watts: assessment.powerAtAntennaW };
  const where = hasWatts ? 'at the antenna' : 'at the receiver';
  return `${cableName}: ${levelText(arriving, shown)} ${where} on ${bandName(band)}`;
}
