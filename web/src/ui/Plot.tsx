import { AxisBottom, AxisLeft } from '@visx/axis';
import { scaleLinear, scaleLog } from '@visx/scale';
import { Area, LinePath } from '@visx/shape';
import { useId, useState } from 'react';
import { useWidth } from './useWidth';

/** One curve; where it is not one line but lies between two, `low` and `high` say so. */
export interface PlotCurve {
  id: string;
  label: string;
  points: readonly { x: number; y: number; low?: number; high?: number }[];
}

/** A limit that holds over a part of the axis, such as a rating. */
export interface PlotLimit {
  label: string;
  from: number;
  to: number;
  y: number;
}

export interface PlotMark {
  x: number;
  label: string;
}

interface Props {
  label: string;
  xLabel: string;
  yLabel: string;
  height: number;
  curves: readonly PlotCurve[];
  limits?: readonly PlotLimit[];
  marks?: readonly PlotMark[];
  /** Whether equal ratios are equally far apart. */
  isLog?: boolean;
  /** Whether equal ratios are equally far apart on the vertical axis too. */
  isLogY?: boolean;
  /** Whether the vertical axis begins at zero. */
  fromZero?: boolean;
  mostY?: number;
  say: (value: number) => string;
  sayX: (value: number) => string;
}

/** Curves differ by dash, not by colour alone. */
export const DASHES = [undefined, '7 3', '2 3', '9 3 2 3', '5 5', '1 4'] as const;

const LEFT = 56;
const RIGHT = 132;
const TOP = 14;
const BOTTOM = 34;
const TICKS = {
  fill: 'var(--ink-soft)',
  fontSize: 11,
  fontFamily: 'var(--font-mono)',
} as const;

/** A drawing of curves over one axis, with a reading where one points. */
export function Plot(props: Props) {
  const { curves, limits = [], marks = [], height, isLog, say, sayX } = props;
  const [box, width] = useWidth<HTMLDivElement>();
  const clip = useId();
  const [at, setAt] = useState<number | null>(null);
  const all = curves.flatMap((c) => c.points);
  const xs = all.map((p) => p.x);
  const ys = [
    ...all.flatMap((p) => [p.low ?? p.y, p.high ?? p.y]),
    ...limits.map((l) => l.y),
  ].filter(Number.isFinite);
  const right = Math.max(LEFT + 60, width - RIGHT);
  if (all.length === 0) return <div ref={box} style={{ height }} />;

  const domain: [number, number] = [Math.min(...xs), Math.max(...xs)];
  const x = isLog
    ? scaleLog<number>({ domain, range: [LEFT, right] })
    : scaleLinear<number>({ domain, range: [LEFT, right] });
  const top = Math.min(props.mostY ?? Infinity, Math.max(...ys));
  const bottom = props.fromZero ? 0 : Math.min(...ys);
  const spare = 0.06 * (top - bottom || 1);
  const upright: [number, number] = [height - BOTTOM, TOP];
  const y = props.isLogY
    ? scaleLog<number>({ domain: [Math.min(...ys), top], range: upright })
    : scaleLinear<number>({
        domain: [bottom - (props.fromZero ? 0 : spare), top + spare],
        range: upright,
      });

  function point(e: React.PointerEvent<SVGSVGElement>) {
    const px = e.clientX - e.currentTarget.getBoundingClientRect().left;
    setAt(px < LEFT || px > right ? null : x.invert(px));
  }

  return (
    <div ref={box} className="relative">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={props.label}
        className="block"
        onPointerMove={point}
        onPointerLeave={() => setAt(null)}
      >
        <clipPath id={clip}>
          <rect x={LEFT} y={TOP - 4} width={right - LEFT} height={height - BOTTOM - TOP + 8} />
        </clipPath>
        {marks
          .filter((m) => m.x >= domain[0] && m.x <= domain[1])
          .map((m) => (
            <g key={m.label}>
              <path d={`M${x(m.x)} ${TOP}V${height - BOTTOM}`} stroke="var(--hairline)" />
              <text x={x(m.x) + 3} y={TOP + 8} fontSize="10" fill="var(--ink-soft)">
                {m.label}
              </text>
            </g>
          ))}
        <g clipPath={`url(#${clip})`}>
          {curves.map((curve, i) => (
            <Curve key={curve.id} curve={curve} dash={DASHES[i % DASHES.length]} x={x} y={y} />
          ))}
          {limits.map((l) => (
            <path
              key={`${l.label} ${l.from}`}
              d={`M${x(l.from)} ${y(l.y)}H${x(l.to)}`}
              stroke="var(--fail)"
              strokeWidth="1.5"
            />
          ))}
        </g>
        {limits.map((l) => (
          <text
            key={`${l.label} ${l.from}`}
            x={x(l.from) + 4}
            y={y(l.y) + 11}
            fontSize="10"
            fill="var(--fail)"
          >
            {l.label}
          </text>
        ))}
        <EndLabels curves={curves} x={right + 6} y={y} height={height} />
        <AxisBottom
          scale={x}
          top={height - BOTTOM}
          numTicks={6}
          tickValues={isLog ? logTicks(domain, right - LEFT) : undefined}
          stroke="var(--ink)"
          tickStroke="var(--ink)"
          tickFormat={(v) => sayX(Number(v))}
          tickLabelProps={{ ...TICKS, textAnchor: 'middle' }}
        />
        <AxisLeft
          scale={y}
          left={LEFT}
          numTicks={4}
          tickValues={props.isLogY ? logTicks([Math.min(...ys), top], height) : undefined}
          stroke="var(--ink)"
          tickStroke="var(--ink)"
          tickFormat={(v) => say(Number(v))}
          tickLabelProps={{ ...TICKS, textAnchor: 'end', dx: -4, dy: 4 }}
        />
        <text x={LEFT - 50} y={TOP - 3} fontSize="11" fill="var(--ink-soft)">
          {props.yLabel}
        </text>
        <text x={right + 6} y={height - BOTTOM + 16} fontSize="11" fill="var(--ink-soft)">
          {props.xLabel}
        </text>
        {at !== null && (
          <path
            d={`M${x(at)} ${TOP}V${height - BOTTOM}`}
            stroke="var(--blue)"
            strokeDasharray="3 2"
          />
        )}
      </svg>
      {at !== null && (
        <div
          className="figures pointer-events-none absolute z-10 border border-hairline bg-paper px-1.5 py-0.5 text-small whitespace-nowrap"
          style={{ left: Math.min(x(at) + 8, right - 120), top: TOP }}
        >
          <div className="text-soft">
            {sayX(at)} {props.xLabel}
          </div>
          {curves
            .filter((c) => reaches(c, at))
            .map((c) => (
              <div key={c.id} className="flex justify-between gap-3">
                <span>{c.label}</span>
                <span>{readAt(c, at, say)}</span>
              </div>
            ))}
        </div>
      )}
    </div>
  );
}

type Scale = (value: number) => number;

/** So much room a figure needs on an axis, px. */
const TICK_ROOM = 46;

/** Round figures of a logarithmic axis, as many as have room: 1, 2, 5 in every decade, or 1 alone. */
function logTicks([from, to]: [number, number], width: number): number[] {
  const first = Math.floor(Math.log10(from));
  const decades = Array.from(
    { length: Math.ceil(Math.log10(to)) - first + 1 },
    (_, i) => first + i,
  );
  const within = (steps: number[]) =>
    decades.flatMap((d) => steps.map((s) => s * 10 ** d)).filter((v) => v >= from && v <= to);
  const fine = within([1, 2, 5]);
  return fine.length * TICK_ROOM <= width ? fine : within([1]);
}

function Curve({
  curve,
  dash,
  x,
  y,
}: {
  curve: PlotCurve;
  dash: string | undefined;
  x: Scale;
  y: Scale;
}) {
  const { points } = curve;
  const isThere = (p: { y: number }) => Number.isFinite(p.y);
  const isBand = points.some((p) => (p.high ?? p.y) - (p.low ?? p.y) > 1e-9);
  return (
    <>
      {isBand && (
        <Area
          data={[...points]}
          defined={isThere}
          x={(p) => x(p.x)}
          y0={(p) => y(p.low ?? p.y)}
          y1={(p) => y(p.high ?? p.y)}
          fill="var(--ash)"
          fillOpacity={0.35}
        />
      )}
      <LinePath
        data={[...points]}
        defined={isThere}
        x={(p) => x(p.x)}
        y={(p) => y(p.y)}
        stroke="var(--ink)"
        strokeWidth={1.5}
        strokeDasharray={dash}
        fill="none"
      />
    </>
  );
}

/** Names at the ends of the curves, none over another. */
function EndLabels({
  curves,
  x,
  y,
  height,
}: {
  curves: readonly PlotCurve[];
  x: number;
  y: Scale;
  height: number;
}) {
  const ends = curves
    .map((c, i) => ({ c, i, at: y(c.points.findLast((p) => Number.isFinite(p.y))?.y ?? 0) }))
    .sort((a, b) => a.at - b.at);
  const placed = ends.map((e) => Math.max(TOP + 4, Math.min(height - BOTTOM, e.at)));
  for (let k = 1; k < placed.length; k++) {
    placed[k] = Math.max(placed[k] ?? 0, (placed[k - 1] ?? 0) + 13);
  }
  return ends.map(({ c, i }, k) => (
    <g key={c.id} transform={`translate(${x} ${placed[k]})`}>
      <path
        d="M0 0h18"
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray={DASHES[i % DASHES.length]}
      />
      <text x={22} y={4} fontSize="11" fill="var(--ink)">
        {c.label}
      </text>
    </g>
  ));
}

/** Whether a curve has anything to say at a place. */
function reaches(curve: PlotCurve, at: number): boolean {
  const first = curve.points[0]?.x ?? Infinity;
  const last = curve.points.at(-1)?.x ?? -Infinity;
  return at >= first && at <= last;
}

function readAt(curve: PlotCurve, at: number, say: (v: number) => string): string {
  const near = curve.points.reduce((a, b) => (Math.abs(b.x - at) < Math.abs(a.x - at) ? b : a));
  if (!Number.isFinite(near.y)) return '–';
  const low = say(near.low ?? near.y);
  const high = say(near.high ?? near.y);
  return low === high ? say(near.y) : `${low}–${high}`;
}
