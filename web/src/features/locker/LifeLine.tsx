import { AxisBottom } from '@visx/axis';
import { scaleLinear, scaleTime } from '@visx/scale';
import type { Piece, PieceEvent } from '../../api';
import { useWidth } from '../../ui';
import { fixed } from '../../units';
import { spanOf } from './locker';

const TESTS_HEIGHT = 120;
const TRACK_TOP = TESTS_HEIGHT + 18;
const TRACK_HEIGHT = 16;
const HEIGHT = TRACK_TOP + TRACK_HEIGHT + 36;
const LEFT = 44;
const RIGHT = 16;
const MS_PER_YEAR = 365.25 * 86_400_000;
const NEAR_THE_SHEET = { from: 90, to: 115 };

/**
 * The life of a piece on one line: above, each test as percent of its sheet, with the trend and how sure it is; below, when it
 * was out, hatched where it was wet, frozen or trodden on, and what was done to it.
 */
export function LifeLine({
  piece,
  events,
  today,
}: {
  piece: Piece;
  events: readonly PieceEvent[];
  today: string;
}) {
  const [box, width] = useWidth<HTMLDivElement>();
  const tests = events.filter((e) => e.kind === 'TEST' && e.percentOfSheet !== null);
  const span = spanOf(events, today);
  const last = tests.at(-1);
  const percents = [
    ...tests.map((t) => t.percentOfSheet ?? 100),
    ...(piece.retireAtPercent === null ? [] : [piece.retireAtPercent]),
    ...(piece.trend && last
      ? [
          piece.trend.percentAtLastTest +
            (piece.trend.percentPerYear * (span.to - Date.parse(last.on))) / MS_PER_YEAR,
        ]
      : []),
  ];
  const x = scaleTime({
    domain: [span.from, span.to],
    range: [LEFT, Math.max(LEFT + 1, width - RIGHT)],
  });
  const y = scaleLinear({
    domain: [
      Math.min(NEAR_THE_SHEET.from, ...percents) - 3,
      Math.max(NEAR_THE_SHEET.to, ...percents) + 3,
    ],
    range: [TESTS_HEIGHT, 4],
  });
  return (
    <div ref={box}>
      <svg width={width} height={HEIGHT} role="img" aria-label="life of the piece, drawn">
        <defs>
          <pattern id="hard" width="4" height="4" patternUnits="userSpaceOnUse">
            <rect width="4" height="4" fill="var(--ash-ground)" />
            <path d="M0 4 4 0" stroke="var(--ink)" strokeWidth="0.8" />
          </pattern>
        </defs>
        {(tests.length > 0 ? y.ticks(4) : []).map((percent) => (
          <g key={percent}>
            <path
              d={`M${LEFT} ${y(percent)}H${width - RIGHT}`}
              stroke={percent === 100 ? 'var(--control)' : 'var(--hairline)'}
            />
            <text
              x={LEFT - 6}
              y={y(percent) + 4}
              textAnchor="end"
              className="figures"
              fontSize="11"
              fill="var(--ink-soft)"
            >
              {percent} %
            </text>
          </g>
        ))}
        {piece.retireAtPercent !== null && (
          <>
            <path
              d={`M${LEFT} ${y(piece.retireAtPercent)}H${width - RIGHT}`}
              stroke="var(--fail)"
              strokeDasharray="6 3"
            />
            <text
              x={width - RIGHT}
              y={y(piece.retireAtPercent) - 4}
              textAnchor="end"
              fontSize="11"
              fill="var(--fail)"
            >
              above this it has had its day
            </text>
          </>
        )}
        {last && piece.trend && (
          <Trend
            trend={piece.trend}
            through={last}
            from={tests[0]?.on ?? last.on}
            x={x}
            y={y}
            to={span.to}
          />
        )}
        {tests.map((t) => (
          <g key={t.id}>
            <circle
              cx={x(Date.parse(t.on))}
              cy={y(t.percentOfSheet ?? 0)}
              r="4"
              fill={t.outcome === 'WORSE' ? 'var(--paper)' : 'var(--ink)'}
              stroke="var(--ink)"
              strokeWidth="1.6"
            >
              <title>{`${t.on}: ${fixed(t.percentOfSheet ?? 0, 0)} % of its sheet`}</title>
            </circle>
          </g>
        ))}
        <path
          d={`M${LEFT} ${TRACK_TOP + TRACK_HEIGHT / 2}H${x(piece.retiredOn ? Date.parse(piece.retiredOn) : span.to)}`}
          stroke="var(--ink)"
        />
        {events
          .filter((e) => e.kind === 'OUTING')
          .map((e, i) => {
            const from = x(Date.parse(e.on));
            const to = e.until === null ? x(span.to) : x(Date.parse(e.until));
            const isHard = e.wet || e.frozen || e.trodden;
            return (
              <rect
                key={`${e.id} ${i}`}
                x={from}
                y={TRACK_TOP}
                width={Math.max(2.5, to - from)}
                height={TRACK_HEIGHT}
                fill={isHard ? 'url(#hard)' : 'var(--ash-ground)'}
                stroke="var(--ink)"
                strokeWidth="0.8"
                strokeDasharray={e.until === null ? '3 2' : undefined}
              />
            );
          })}
        {events
          .filter((e) => ['REPAIR', 'NEW_END', 'RETIRED', 'BACK_IN_SERVICE'].includes(e.kind))
          .map((e) => (
            <Done key={e.id} x={x(Date.parse(e.on))} kind={e.kind} />
          ))}
        <AxisBottom
          top={TRACK_TOP + TRACK_HEIGHT + 4}
          scale={x}
          numTicks={Math.max(2, Math.floor(width / 110))}
          stroke="var(--control)"
          tickStroke="var(--control)"
          tickLabelProps={{
            fill: 'var(--ink-soft)',
            fontSize: 11,
            fontFamily: 'inherit',
            textAnchor: 'middle',
          }}
        />
      </svg>
    </div>
  );
}

/** The slope through the last test, and the wedge in which it surely lies; the slopes are the core's. */
function Trend({
  trend,
  through,
  from,
  to,
  x,
  y,
}: {
  trend: NonNullable<Piece['trend']>;
  through: PieceEvent;
  from: string;
  to: number;
  x: (t: number) => number;
  y: (percent: number) => number;
}) {
  const at = Date.parse(through.on);
  const percent = trend.percentAtLastTest;
  const on = (slope: number, t: number) => y(percent + (slope * (t - at)) / MS_PER_YEAR);
  const line = (slope: number, start: number) =>
    `M${x(start)} ${on(slope, start)}L${x(to)} ${on(slope, to)}`;
  return (
    <g fill="none" stroke="var(--blue)">
      <path d={line(trend.percentPerYear, Date.parse(from))} strokeWidth="1.4" />
      {trend.least !== null && trend.most !== null && (
        <path
          d={`${line(trend.least, at)}${line(trend.most, at)}`}
          strokeWidth="1"
          strokeDasharray="3 3"
        />
      )}
    </g>
  );
}

const SHAPES: Partial<Record<PieceEvent['kind'], string>> = {
  REPAIR: 'M0-5 5 0 0 5-5 0z',
  NEW_END: 'M-5-5 5 5M5-5-5 5',
  RETIRED: 'M0-9V9M-4 9H4M-4-9H4',
  BACK_IN_SERVICE: 'M-4-5 4 0-4 5z',
};

/** A mended piece is a diamond, a new end a cross, the end of its service a bar. */
function Done({ x, kind }: { x: number; kind: PieceEvent['kind'] }) {
  return (
    <path
      transform={`translate(${x} ${TRACK_TOP + TRACK_HEIGHT / 2})`}
      d={SHAPES[kind]}
      fill="var(--paper)"
      stroke="var(--ink)"
      strokeWidth="1.6"
    />
  );
}
