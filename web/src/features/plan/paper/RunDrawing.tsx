import type { BandAssessment } from '../../../api';
import { fixed, lengthText, levelText } from '../../../units';
import type { LengthUnit, Reading } from '../../../units';
import type { Element } from '../document/model';
import type { Sized } from '../run/ribbonLayout';
import { levelsOf, ribbonPath, slotsOf, thicknesses } from '../run/ribbonLayout';

const WIDTH = 700;
const HEIGHT = 150;
const LEFT = 34;
const RIGHT = 60;
const BAND = 44;
const MIDDLE = 50;
const LEAST = 16;
/** Names are told of as many elements; beyond, they are numbered and the table tells. */
const MOST_NAMED = 12;

/** The run for paper: black where power is, hatched where it became heat, names and lengths below. */
export function RunDrawing({
  run,
  assessment,
  radioW,
  nameOf,
  lengths,
  reading,
  bandName,
}: {
  run: readonly Element[];
  assessment: BandAssessment;
  radioW: number | null;
  nameOf: (element: Element) => string;
  lengths: LengthUnit;
  reading: Reading;
  bandName: string;
}) {
  const slots = slotsOf(
    run.map((e, i) => (assessment.elements[i]?.aside ? { kind: 'ASIDE' } : (e as Sized))),
    WIDTH - LEFT - RIGHT,
    Math.min(LEAST, (WIDTH - LEFT - RIGHT) / run.length),
  ).map((s) => ({ ...s, x: s.x + LEFT }));
  const levels = levelsOf(assessment, radioW);
  const thickness = thicknesses(levels, BAND);
  const first = levels[0];
  const last = levels.at(-1);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`the run on ${bandName}, drawn`}
    >
      <defs>
        <pattern id="paper-heat" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0 5 5 0" stroke="#000" strokeWidth="0.7" />
        </pattern>
      </defs>
      <rect
        x={LEFT}
        y={MIDDLE - BAND / 2}
        width={WIDTH - LEFT - RIGHT}
        height={BAND}
        fill="url(#paper-heat)"
        stroke="#000"
        strokeWidth="0.7"
      />
      <path d={ribbonPath(slots, thickness, MIDDLE)} fill="#fff" stroke="#000" strokeWidth="1.2" />
      <text x={LEFT - 6} y={MIDDLE + 4} textAnchor="end" fontSize="10">
        {radioW === null ? 'receiver' : 'radio'}
      </text>
      <text x={WIDTH - RIGHT + 6} y={MIDDLE + 4} fontSize="10">
        antenna
      </text>
      {first && (
        <text x={LEFT} y={MIDDLE - BAND / 2 - 6} fontSize="11" className="figures">
          {levelText(first, reading)}
        </text>
      )}
      {last && (
        <text
          x={WIDTH - RIGHT}
          y={MIDDLE - BAND / 2 - 6}
          textAnchor="end"
          fontSize="11"
          className="figures"
        >
          {levelText(last, reading)}
        </text>
      )}
      {slots.map((slot, i) => {
        const element = run[i];
        if (!element || assessment.elements[i]?.aside) return null;
        const x = slot.x + slot.width / 2;
        const isLine = element.kind === 'LINE';
        const y = MIDDLE + BAND / 2 + 16 + (isLine ? 26 : (i % 2) * 12);
        return (
          <g key={element.id ?? i} fontSize="9">
            {!isLine && (
              <path
                d={`M${x - 1.5} ${MIDDLE - BAND / 2 - 4}v${BAND + 8}m3 0v${-BAND - 8}`}
                stroke="#000"
                strokeWidth="1"
              />
            )}
            {isLine && (
              <path
                d={`M${slot.x + 2} ${MIDDLE + BAND / 2 + 6}v4h${slot.width - 4}v-4`}
                fill="none"
                stroke="#000"
                strokeWidth="0.8"
              />
            )}
            {run.length <= MOST_NAMED ? (
              <text x={x} y={y} textAnchor="middle">
                <tspan fontWeight={isLine ? 700 : 400}>{nameOf(element)}</tspan>
                {isLine && <tspan>{` ${lengthText(element.lengthM ?? 0, lengths)}`}</tspan>}
                {isLine && (
                  <tspan x={x} dy="12">
                    {`−${fixed(assessment.elements[i]?.lossDb ?? 0, 2)} dB`}
                  </tspan>
                )}
              </text>
            ) : (
              <text x={x} y={y} textAnchor="middle">
                {i + 1}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
