import { PatternLines } from '@visx/pattern';
import { useState } from 'react';
import type { BandAssessment } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useWidth } from '../../../ui';
import { figureOf, levelText, shownReading, unitOf } from '../../../units';
import { bandName, bandsOf, MOST_ELEMENTS, powerOn, runOf } from '../document/model';
import { AddHere } from './AddHere';
import { ElementLabel } from './ElementLabel';
import { heatOf } from './elements';
import { gapLabel, PlusMark } from './gaps';
import { AntennaMark, BOTTOM, BreakMark, ElementMark, FULL, MIDDLE, TOP } from './marks';
import { MatchingMark } from './MatchingMark';
import { PointReading } from './PointReading';
import { Outline, Power } from './Power';
import { RadioBox } from './RadioBox';
import { isCompressed, LEAST_WIDTH, levelsOf, placeAt, slotsOf, trueScale } from './ribbonLayout';
import type { Place, Slot } from './ribbonLayout';
import type { RibbonProps } from './ribbonProps';
import { RunTable } from './RunTable';
import { StandingWave } from './StandingWave';
import { useRunDrag } from './useRunDrag';
import { STOP, useWalk } from './useWalk';

const HEIGHT = 132;
const RADIO_WIDTH = 92;
const STUB = 36;
const ANTENNA_WIDTH = 156;
const RUN_LEFT = RADIO_WIDTH + STUB;

/** Below this the elements could not be told apart; the drawing scrolls instead. */
const LEAST_RUN_WIDTH = 300;

interface Props extends RibbonProps {
  /** The row pointed at, drawn as an outline. */
  pointedAt: BandAssessment | undefined;
}

/** The run from radio to antenna: its thickness is the power, the hatching is what became heat. */
export function Ribbon(props: Props) {
  const { plan, band, assessment, profile, pointedAt, stale, onCommand } = props;
  const { reading } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const run = runOf(plan);
  const walk = useWalk(run.length, onCommand);
  const [asTable, setAsTable] = useState(false);
  const [place, setPlace] = useState<(Place & { x: number }) | null>(null);
  const runWidth = Math.max(
    LEAST_RUN_WIDTH,
    LEAST_WIDTH * run.length,
    width - RUN_LEFT - ANTENNA_WIDTH,
  );
  const drag = useRunDrag(run, slotsOf(run, runWidth), onCommand);
  const { slots } = drag;
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const levels = assessment ? levelsOf(assessment, radioW) : [];
  const compressed = isCompressed(run, slots);

  return (
    <section
      aria-label="run"
      className="group/run shrink-0 overflow-x-auto border-b border-hairline px-4 pt-1 pb-2 print:overflow-visible"
    >
      <div ref={box} className="relative">
        <svg
          width={RUN_LEFT + runWidth + ANTENNA_WIDTH}
          height={HEIGHT}
          className={`block ${stale ? 'opacity-40' : ''}`}
          role="img"
          aria-label={told(props, shown)}
          onPointerMove={(e) => {
            const x = e.clientX - e.currentTarget.getBoundingClientRect().left - RUN_LEFT;
            const at = x >= 0 && x <= runWidth ? placeAt(run, slots, x) : null;
            setPlace(at && { ...at, x });
          }}
          onPointerLeave={() => setPlace(null)}
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
            {assessment && (
              <Power
                slots={slots}
                levels={levels}
                isReceiver={radioW === null}
                stub={STUB}
                width={endOf(slots, runWidth)}
              />
            )}
            {profile && !drag.isDragging && (
              <StandingWave run={run} slots={slots} profile={profile} />
            )}
            {slots.map(
              (slot, i) => compressed[i] && <BreakMark key={i} x={slot.x + slot.width / 2} />,
            )}
            {pointedAt && <Outline slots={slots} levels={levelsOf(pointedAt, radioW)} />}
            {run.map((element, i) => (
              <g
                key={element.id ?? i}
                className="cursor-pointer"
                onClick={(e) => openElement(e.currentTarget, i)}
              >
                <ElementMark element={element} x={middleOf(slots[i])} />
              </g>
            ))}
            <g className="figures" fontSize="11" fill="var(--ink)">
              {levels.map((level, i) => (
                <text key={i} x={boundaryX(slots, i)} y={28} textAnchor="middle">
                  {figureOf(level, shown)}
                </text>
              ))}
            </g>
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
            <AntennaMark x={endOf(slots, runWidth)} />
          </g>
        </svg>

        {place && radioW !== null && (
          <p
            className="figures pointer-events-none absolute z-10 border border-hairline bg-paper px-1.5 text-small whitespace-nowrap"
            style={{ left: RUN_LEFT + Math.min(place.x + 6, runWidth - 120), top: BOTTOM - 20 }}
          >
            <PointReading place={place} profile={profile} radioW={radioW} shown={shown} />
          </p>
        )}
        <RadioBox {...props} width={RADIO_WIDTH} />
        {radioW !== null && (
          <MatchingMark
            {...props}
            radioX={RADIO_WIDTH + 5}
            antennaX={RUN_LEFT + endOf(slots, runWidth) + 30}
          />
        )}
        <Arriving {...props} shown={shown} left={RUN_LEFT + endOf(slots, runWidth) + 62} />
        {slots.map(
          (slot, i) =>
            run[i]?.kind === 'LINE' && (
              <div
                key={i}
                title="draw it longer or shorter"
                className="absolute w-3 cursor-ew-resize touch-none hover:bg-blue/40"
                style={{
                  left: RUN_LEFT + slot.x + slot.width - 6,
                  top: TOP,
                  height: FULL,
                }}
                onPointerDown={(e) => drag.stretch(i, e)}
              />
            ),
        )}
        {run.length < MOST_ELEMENTS &&
          [...slots.map((s) => s.x), endOf(slots, runWidth)].map((x, at) => (
            <span key={at} className="absolute top-0" style={{ left: RUN_LEFT + x - 12 }}>
              <AddHere
                {...props}
                at={at}
                label={gapLabel(props, at)}
                text={<PlusMark />}
                isStop={at === walk.current + 1}
                className="flex h-6 w-6 items-center justify-center text-soft opacity-0 group-focus-within/run:opacity-100 group-hover/run:opacity-100 hover:text-blue focus:opacity-100 print:hidden"
              />
            </span>
          ))}

        <ol
          aria-label="elements from radio to antenna"
          className="relative h-[66px]"
          style={{ marginLeft: RUN_LEFT, width: runWidth }}
          onKeyDown={walk.onKeyDown}
        >
          {run.map((element, i) => (
            <li
              key={element.id ?? i}
              className={`absolute flex touch-none flex-col items-center text-center ${drag.carried?.index === i ? 'z-10 cursor-grabbing bg-paper opacity-70' : ''}`}
              style={{
                left: slots[i]?.x ?? 0,
                width: slots[i]?.width ?? 0,
                transform:
                  drag.carried?.index === i ? `translateX(${drag.carried.byPx}px)` : undefined,
              }}
              onFocus={() => walk.setCurrent(i)}
              onPointerDown={(e) => drag.carry(i, e)}
            >
              <ElementLabel
                {...props}
                count={run.length}
                flatJointLossDb={plan.document.assessment?.flatJointLossDb}
                element={element}
                index={i}
                width={slots[i]?.width ?? 0}
                lossDb={assessment?.elements[i]?.lossDb}
                heatW={heatOf(assessment, i)}
                isStop={i === walk.current}
              />
            </li>
          ))}
        </ol>
        <TrueScale spans={trueScale(run)} left={RUN_LEFT} width={runWidth} />
        <button
          type="button"
          aria-expanded={asTable}
          className="quiet absolute bottom-0 left-0 text-small print:hidden"
          onClick={() => setAsTable(!asTable)}
        >
          {asTable ? 'without the table' : 'as a table'}
        </button>
      </div>
      {run.length === 0 && (
        <p className="text-soft">
          The antenna sits on the radio&rsquo;s own socket. Add the first piece of the run above.
        </p>
      )}
      {asTable && (
        <RunTable {...props} run={run} assessment={assessment} levels={levels} shown={shown} />
      )}
    </section>
  );
}

/** A mark on the drawing opens as its name below does. */
function openElement(mark: Element, index: number) {
  mark.closest('section')?.querySelector<HTMLElement>(`[${STOP}="${index}"]`)?.click();
}

function told(props: Props, shown: ReturnType<typeof shownReading>): string {
  const { plan, band, assessment, cableName } = props;
  if (!assessment) return 'the run';
  const arriving = { lossDb: assessment.totalLossDb, watts: assessment.powerAtAntennaW };
  const where = powerOn(plan, band) === null ? 'at the receiver' : 'at the antenna';
  return `${cableName}: ${levelText(arriving, shown)} ${where} on ${bandName(band)}`;
}

function Arriving({
  plan,
  focus,
  assessment,
  stale,
  shown,
  left,
}: Props & { shown: ReturnType<typeof shownReading>; left: number }) {
  if (!assessment) return null;
  const isReceiver = powerOn(plan, bandsOf(plan)[focus]) === null;
  const arriving = { lossDb: assessment.totalLossDb, watts: assessment.powerAtAntennaW };
  return (
    <div
      className={`absolute text-left ${stale ? 'opacity-40' : ''}`}
      style={{ left, top: MIDDLE - 24 }}
    >
      <div
        className={`figures text-title leading-6 font-semibold whitespace-nowrap ${isReceiver ? '' : 'text-copper-text'}`}
      >
        {figureOf(arriving, shown)}
        <span className="ml-1.5 text-body font-normal">{unitOf(shown)}</span>
      </div>
      <div className="text-small text-soft">
        {isReceiver ? 'reach the receiver' : 'at the antenna'}
      </div>
    </div>
  );
}

/** The lines at true scale, one beside the other, since the drawing above is not. */
function TrueScale({
  spans,
  left,
  width,
}: {
  spans: ([number, number] | null)[];
  left: number;
  width: number;
}) {
  return (
    <svg
      width={width}
      height={5}
      className="block"
      style={{ marginLeft: left }}
      role="img"
      aria-label="the lines at true scale"
    >
      <title>the lines at true scale</title>
      {spans.map(
        (span, i) =>
          span && (
            <rect
              key={i}
              x={span[0] * width}
              y={1}
              width={Math.max(1, (span[1] - span[0]) * width - 1)}
              height={3}
              fill={i % 2 ? 'var(--ink-soft)' : 'var(--ink)'}
            />
          ),
      )}
    </svg>
  );
}

function middleOf(slot: Slot | undefined): number {
  return slot ? slot.x + slot.width / 2 : 0;
}

function endOf(slots: Slot[], otherwise: number): number {
  const last = slots.at(-1);
  return last ? last.x + last.width : otherwise;
}

function boundaryX(slots: Slot[], i: number): number {
  const slot = slots[i];
  if (slot) return i === 0 ? slot.x + 2 : slot.x;
  const last = slots.at(-1);
  return last ? last.x + last.width - 6 : 0;
}

/** Where a carried element would come to stand. */
function dropX(slots: Slot[], from: number, to: number): number {
  const slot = slots[to];
  if (!slot) return 0;
  return to > from ? slot.x + slot.width : slot.x;
}
