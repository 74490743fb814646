import type { BandAssessment, CableType, Connector } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField } from '../../../ui';
import { figureOf, fixed, plain, powerText, shownReading, unitOf } from '../../../units';
import type { Level } from '../../../units';
import type { Command } from '../commands';
import type { Band, Element, Plan } from '../model';
import { powerOn, runOf } from '../model';
import { lengthLabel } from './ElementLabel';
import { ElementPanel } from './ElementPanel';
import { LengthField } from './LengthField';
import { useWalk } from './useWalk';
import { boundaryLevels, fallAlong, receivedLevels, thicknesses } from './ribbonLayout';

const FULL = 72;
const LINE_HEIGHT = 112;
const JOINT_HEIGHT = 64;

interface Props {
  plan: Plan;
  band: Band | undefined;
  assessment: BandAssessment | undefined;
  cableName: string;
  catalogue: CableType[];
  connectors: Connector[];
  stale: boolean;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** The run for a phone in the field: upright, the antenna on top, lengths by stepper. */
export function UprightRibbon(props: Props) {
  const { plan, band, assessment, stale } = props;
  const { reading } = usePreferences();
  const run = runOf(plan);
  const walk = useWalk(run.length, props.onCommand);
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const levels = assessment
    ? radioW === null
      ? receivedLevels(assessment)
      : boundaryLevels(assessment, radioW)
    : [];
  const thickness = thicknesses(levels, FULL);
  const colour = radioW === null ? 'var(--ink-soft)' : 'var(--copper)';

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
      <ol aria-label="elements from antenna to radio" onKeyDown={walk.onKeyDown}>
        {run
          .map((element, i) => ({ element, i }))
          .toReversed()
          .map(({ element, i }) => (
            <li
              key={element.id ?? i}
              className="flex items-stretch gap-4"
              onFocus={() => walk.setCurrent(i)}
            >
              <Piece
                height={element.kind === 'LINE' ? LINE_HEIGHT : JOINT_HEIGHT}
                top={thickness[i + 1]}
                bottom={thickness[i]}
                colour={colour}
                isJoint={element.kind !== 'LINE'}
                stale={stale}
              />
              <div className="flex min-w-0 flex-1 flex-col justify-center">
                <Label
                  {...props}
                  element={element}
                  index={i}
                  count={run.length}
                  flatJointLossDb={plan.document.assessment?.flatJointLossDb}
                  isStop={i === walk.current}
                  reading={`${levels[i + 1] ? figureOf(levels[i + 1] as Level, shown) : '–'} ${unitOf(shown)}`}
                />
              </div>
            </li>
          ))}
      </ol>
      <div className="mt-1 inline-flex min-h-11 items-center gap-3 border border-ink px-3">
        {radioW === null ? (
          'receiver'
        ) : (
          <>
            radio
            <QuantityField
              label="radio power"
              kind="power"
              unit="w"
              unitLabel="W"
              value={plan.document.assessment?.radio?.powerW}
              show={(v) => plain(v)}
              say={powerText}
              onCommit={(powerW) => props.onCommand({ do: 'setPower', powerW })}
              onTrouble={(message) => props.onTrouble('power', message)}
            />
          </>
        )}
      </div>
    </section>
  );
}

function Piece({
  height,
  top,
  bottom,
  colour,
  isJoint,
  stale,
}: {
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

interface Labelled {
  element: Element;
  index: number;
  count: number;
  flatJointLossDb: number | undefined;
  isStop: boolean;
  reading: string;
}

function Label({
  element,
  index,
  reading,
  assessment,
  isStop,
  onCommand,
  ...rest
}: Props & Labelled) {
  const context = { ...rest, onCommand };
  const { lengths } = usePreferences();
  const loss = assessment?.elements[index]?.lossDb;
  const figures = (
    <span className="figures text-[12px] text-soft">
      {reading}
      {loss !== undefined && `, ${fixed(-loss, 2)} dB`}
    </span>
  );
  const name = (
    <ElementPanel
      {...context}
      element={element}
      index={index}
      lossDb={loss}
      isStop={isStop}
      className={element.kind === 'LINE' ? 'min-h-11 font-semibold' : 'min-h-11'}
    />
  );
  if (element.kind !== 'LINE') {
    return (
      <span className="flex flex-wrap items-center gap-x-3">
        {name}
        {figures}
      </span>
    );
  }
  const step = lengths === 'm' ? 1 : 0.3048;
  const lengthM = element.lengthM ?? 0;
  const setLength = (metres: number) =>
    onCommand({ do: 'setLength', element: index, lengthM: Number(metres.toFixed(4)) });
  return (
    <>
      {name}
      <span className="flex items-center gap-1">
        <Step
          label="shorter"
          text="−"
          disabled={lengthM <= step}
          onClick={() => setLength(lengthM - step)}
        />
        <LengthField
          element={element}
          index={index}
          label={lengthLabel(element, context)}
          onCommand={onCommand}
          onTrouble={context.onTrouble}
        />
        <Step label="longer" text="+" disabled={false} onClick={() => setLength(lengthM + step)} />
      </span>
      {figures}
    </>
  );
}

function Step({
  label,
  text,
  disabled,
  onClick,
}: {
  label: string;
  text: string;
  disabled: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      className="h-11 w-11 border border-control text-[18px] disabled:text-faint"
      onClick={onClick}
    >
      {text}
    </button>
  );
}
