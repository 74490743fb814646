import { PatternLines } from '@visx/pattern';
import { useState } from 'react';
import type { BandAssessment, CableType, Connector } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, useWidth } from '../../../ui';
import { figureOf, levelText, plain, powerText, shownReading, unitOf } from '../../../units';
import type { Level } from '../../../units';
import type { Command } from '../commands';
import type { Band, Element, Plan } from '../model';
import { bandName, powerOn, runOf } from '../model';
import { ElementLabel } from './ElementLabel';
import { RunTable } from './RunTable';
import { useWalk } from './useWalk';
import { boundaryLevels, receivedLevels, ribbonPath, slotsOf, thicknesses } from './ribbonLayout';
import type { Slot } from './ribbonLayout';

const FULL = 84;
const MIDDLE = 76;
const HEIGHT = 128;
const RADIO_WIDTH = 92;
const STUB = 18;
const ANTENNA_WIDTH = 140;

/** Below this the elements could not be told apart; the drawing scrolls instead. */
const LEAST_RUN_WIDTH = 300;

interface Props {
  plan: Plan;
  band: Band | undefined;
  /** The row that is drawn. */
  assessment: BandAssessment | undefined;
  cableName: string;
  /** The row pointed at, drawn as an outline. */
  pointedAt: BandAssessment | undefined;
  catalogue: CableType[];
  connectors: Connector[];
  stale: boolean;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** The run from radio to antenna: its thickness is the power, the hatching is what became heat. */
export function Ribbon(props: Props) {
  const { plan, band, assessment, pointedAt, stale } = props;
  const { reading } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const run = runOf(plan);
  const walk = useWalk(run.length, props.onCommand);
  const [asTable, setAsTable] = useState(false);
  const runWidth = Math.max(LEAST_RUN_WIDTH, width - RADIO_WIDTH - STUB - ANTENNA_WIDTH);
  const slots = slotsOf(run, runWidth);
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const isReceiver = radioW === null;
  const levels = assessment ? levelsOf(assessment, radioW) : [];
  const arriving = assessment && {
    lossDb: assessment.totalLossDb,
    watts: assessment.powerAtAntennaW,
  };

  return (
    <section
      aria-label="run"
      className="shrink-0 overflow-x-auto print:overflow-visible border-b border-hairline px-4 pt-2 pb-2"
    >
      <div ref={box} className="relative">
        <svg
          width={RADIO_WIDTH + STUB + runWidth + ANTENNA_WIDTH}
          height={HEIGHT}
          className={`block ${stale ? 'opacity-40' : ''}`}
          role="img"
          aria-label={
            arriving
              ? `${props.cableName}: ${levelText(arriving, shown)} ${isReceiver ? 'at the receiver' : 'at the antenna'} on ${bandName(band)}`
              : 'the run'
          }
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
          <g transform={`translate(${RADIO_WIDTH + STUB} 0)`}>
            {assessment && (
              <Power slots={slots} assessment={assessment} radioW={radioW} width={runWidth} />
            )}
            {pointedAt && <Outline slots={slots} assessment={pointedAt} radioW={radioW} />}
            {run.map((element, i) => (
              <JointMark key={element.id ?? i} element={element} slot={slots[i]} />
            ))}
            <g className="figures" fontSize="11" fill="var(--ink)">
              {levels.map((level, i) => (
                <text key={i} x={boundaryX(slots, i)} y={26} textAnchor="middle">
                  {figureOf(level, shown)}
                </text>
              ))}
            </g>
            <Antenna x={runWidth} />
          </g>
        </svg>

        <RadioBox {...props} />
        <div
          className={`absolute text-left ${stale ? 'opacity-40' : ''}`}
          style={{ left: RADIO_WIDTH + STUB + runWidth + 40, top: MIDDLE - 24 }}
        >
          {arriving && (
            <>
              <div
                className={`figures text-[20px] leading-6 font-semibold whitespace-nowrap ${isReceiver ? '' : 'text-copper-text'}`}
              >
                {figureOf(arriving, shown)}
                <span className="ml-1.5 text-[13px] font-normal">{unitOf(shown)}</span>
              </div>
              <div className="text-[11px] text-soft">
                {isReceiver ? 'reach the receiver' : 'at the antenna'}
              </div>
            </>
          )}
        </div>

        <ol
          aria-label="elements from radio to antenna"
          className="relative h-[70px]"
          style={{ marginLeft: RADIO_WIDTH + STUB, width: runWidth }}
          onKeyDown={walk.onKeyDown}
        >
          {run.map((element, i) => (
            <li
              key={element.id ?? i}
              className="absolute flex flex-col items-center text-center"
              style={{ left: slots[i]?.x ?? 0, width: slots[i]?.width ?? 0 }}
              onFocus={() => walk.setCurrent(i)}
            >
              <ElementLabel
                {...props}
                count={run.length}
                flatJointLossDb={plan.document.assessment?.flatJointLossDb}
                element={element}
                index={i}
                width={slots[i]?.width ?? 0}
                lossDb={assessment?.elements[i]?.lossDb}
                isStop={i === walk.current}
              />
            </li>
          ))}
        </ol>
        <button
          type="button"
          aria-expanded={asTable}
          className="quiet absolute bottom-0 left-0 text-[11px]"
          onClick={() => setAsTable(!asTable)}
        >
          {asTable ? 'without the table' : 'as a table'}
        </button>
      </div>
      {asTable && (
        <RunTable {...props} run={run} assessment={assessment} levels={levels} shown={shown} />
      )}
    </section>
  );
}

function boundaryX(slots: Slot[], i: number): number {
  const slot = slots[i];
  if (slot) return i === 0 ? slot.x + 2 : slot.x;
  const last = slots.at(-1);
  return last ? last.x + last.width - 6 : 0;
}

/** Sent power goes from the radio to the antenna, a received signal the other way. */
function levelsOf(assessment: BandAssessment, radioW: number | null): Level[] {
  return radioW === null ? receivedLevels(assessment) : boundaryLevels(assessment, radioW);
}

/** Copper is radio power and nothing else; a received signal is drawn in ink. */
function Power({
  slots,
  assessment,
  radioW,
  width,
}: {
  slots: Slot[];
  assessment: BandAssessment;
  radioW: number | null;
  width: number;
}) {
  const thickness = thicknesses(levelsOf(assessment, radioW), FULL);
  const atRadio = thickness[0] ?? FULL;
  const entering = radioW === null ? FULL : atRadio;
  const colour = radioW === null ? 'var(--ink-soft)' : 'var(--copper)';
  return (
    <>
      {entering < FULL - 0.5 && (
        <path
          d={`M${-STUB} ${MIDDLE - FULL / 2}L0 ${MIDDLE - entering / 2}M${-STUB} ${MIDDLE + FULL / 2}L0 ${MIDDLE + entering / 2}`}
          stroke="var(--ink-soft)"
          strokeDasharray="2 2"
          fill="none"
        >
          <title>what never leaves the radio</title>
        </path>
      )}
      <path
        d={`M${-STUB} ${MIDDLE - atRadio / 2}H0V${MIDDLE + atRadio / 2}H${-STUB}Z`}
        fill={colour}
      />
      <rect x={0} y={MIDDLE - entering / 2} width={width} height={entering} fill="url(#ash)" />
      <path d={ribbonPath(slots, thickness, MIDDLE)} fill={colour} data-testid="copper" />
      <path
        d={`M0 ${MIDDLE - entering / 2}H${width}M0 ${MIDDLE + entering / 2}H${width}`}
        stroke="var(--ink)"
        strokeWidth="0.75"
      />
    </>
  );
}

function Outline({
  slots,
  assessment,
  radioW,
}: {
  slots: Slot[];
  assessment: BandAssessment;
  radioW: number | null;
}) {
  const thickness = thicknesses(levelsOf(assessment, radioW), FULL);
  const path = ribbonPath(slots, thickness, MIDDLE);
  return (
    <g fill="none" data-testid="outline">
      <path d={path} stroke="var(--paper)" strokeWidth="3.5" />
      <path d={path} stroke="var(--blue)" strokeWidth="1.5" strokeDasharray="5 3" />
    </g>
  );
}

/** A mated pair: two lines across the run, as on a drawing. */
function JointMark({ element, slot }: { element: Element; slot: Slot | undefined }) {
  if (!slot || element.kind === 'LINE') return null;
  const x = slot.x + slot.width / 2;
  return (
    <path
      d={`M${x - 2} ${MIDDLE - FULL / 2 - 6}V${MIDDLE + FULL / 2 + 6}M${x + 2} ${MIDDLE - FULL / 2 - 6}V${MIDDLE + FULL / 2 + 6}`}
      stroke="var(--ink)"
      strokeWidth="1.25"
    />
  );
}

function Antenna({ x }: { x: number }) {
  return (
    <path
      d={`M${x} ${MIDDLE}h12M${x + 12} ${MIDDLE - 24}v48M${x + 6} ${MIDDLE - 24}h12M${x + 6} ${MIDDLE + 24}h12M${x + 20} ${MIDDLE - 14}v28`}
      stroke="var(--ink)"
      strokeWidth="1.5"
      fill="none"
    />
  );
}

function RadioBox({ plan, band, onCommand, onTrouble }: Props) {
  const isReceiver = powerOn(plan, band) === null;
  return (
    <div
      className="absolute left-0 flex flex-col justify-center border border-ink bg-paper px-1 text-center"
      style={{ top: MIDDLE - FULL / 2, minHeight: FULL, width: RADIO_WIDTH }}
    >
      <div className="text-soft">{isReceiver ? 'receiver' : 'radio'}</div>
      {!isReceiver && (
        <QuantityField
          label="radio power"
          kind="power"
          unit="w"
          unitLabel="W"
          value={plan.document.assessment?.radio?.powerW}
          show={(v) => plain(v)}
          say={powerText}
          className="items-center font-semibold"
          onCommit={(powerW) => onCommand({ do: 'setPower', powerW })}
          onTrouble={(message) => onTrouble('power', message)}
        />
      )}
    </div>
  );
}
