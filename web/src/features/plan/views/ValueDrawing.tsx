import { AxisBottom, AxisLeft } from '@visx/axis';
import { scaleLinear } from '@visx/scale';
import type { ValueSteps } from '../../../api';
import { useWidth } from '../../../ui';
import { useSheet } from '../sheetContext';

const HEIGHT = 280;
const LEFT = 52;
const RIGHT = 16;
const TOP = 12;
const BOTTOM = 44;
const TICKS = { fill: 'var(--ink-soft)', fontSize: 11, fontFamily: 'var(--font-mono)' } as const;

/** Names nearer to each other than this would run into each other, px. */
const APART = 12;

export function ValueDrawing({ ladder }: { ladder: ValueSteps }) {
  const { rowId, pickRow } = useSheet();
  const [box, width] = useWidth<HTMLDivElement>();
  const right = Math.max(LEFT + 80, width - RIGHT);
  // what costs several times the dearest step says nothing and would squeeze the rest
  const dearestStep = Math.max(
    ...ladder.steps.map((s) => ladder.points.find((p) => p.rowId === s.rowId)?.cost ?? 0),
  );
  const x = scaleLinear<number>({
    domain: [0, 1.06 * Math.max(...ladder.points.map((p) => p.totalLossDb))],
    range: [LEFT, right],
  });
  const y = scaleLinear<number>({
    domain: [0, 1.08 * Math.max(dearestStep, ...ladder.points.map((p) => p.cost))],
    range: [HEIGHT - BOTTOM, TOP],
  });
  const steps = ladder.steps.flatMap((s) => ladder.points.filter((p) => p.rowId === s.rowId));
  const path = steps.map((p, i) => `${i ? 'L' : 'M'}${x(p.totalLossDb)} ${y(p.cost)}`).join('');
  const knee = ladder.steps[ladder.knee]?.rowId;
  const named = spread(steps, (p) => y(p.cost));
  return (
    <div ref={box}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label="cost of each cable against its loss"
      >
        <path d={path} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
        {ladder.points.map((p) => {
          const isStep = ladder.steps.some((s) => s.rowId === p.rowId);
          return (
            <g key={p.rowId} className="cursor-pointer" onClick={() => pickRow(p.rowId)}>
              <title>{p.name}</title>
              <circle cx={x(p.totalLossDb)} cy={y(p.cost)} r="10" fill="transparent" />
              <rect
                x={x(p.totalLossDb) - (isStep ? 4 : 2.5)}
                y={y(p.cost) - (isStep ? 4 : 2.5)}
                width={isStep ? 8 : 5}
                height={isStep ? 8 : 5}
                fill={p.rowId === knee ? 'var(--ink)' : 'var(--paper)'}
                stroke={p.rowId === rowId ? 'var(--blue)' : 'var(--ink-soft)'}
                strokeWidth={p.rowId === rowId ? 2.5 : 1.2}
              />
            </g>
          );
        })}
        {named.map(({ item: p, at }) => (
          <text
            key={p.rowId}
            x={x(p.totalLossDb) + 9}
            y={at - 3}
            fontSize="11"
            fontWeight={p.rowId === knee ? 700 : 400}
            fill="var(--ink)"
          >
            {p.name}
            {p.rowId === knee && ', the knee'}
          </text>
        ))}
        <AxisBottom
          scale={x}
          top={HEIGHT - BOTTOM}
          numTicks={6}
          stroke="var(--ink-soft)"
          tickStroke="var(--ink-soft)"
          tickLabelProps={() => ({ ...TICKS, textAnchor: 'middle', dy: '0.25em' })}
          label="lost, dB"
          labelOffset={10}
          labelProps={{ fill: 'var(--ink-soft)', fontSize: 11, textAnchor: 'middle' }}
        />
        <AxisLeft
          scale={y}
          left={LEFT}
          numTicks={5}
          stroke="var(--ink-soft)"
          tickStroke="var(--ink-soft)"
          tickLabelProps={() => ({ ...TICKS, textAnchor: 'end', dx: '-0.25em', dy: '0.3em' })}
          label={ladder.currency ?? ''}
          labelProps={{ fill: 'var(--ink-soft)', fontSize: 11, textAnchor: 'middle' }}
          labelOffset={36}
        />
      </svg>
    </div>
  );
}

/** Labels pushed apart so that none covers another. */
function spread<T>(items: readonly T[], at: (item: T) => number): { item: T; at: number }[] {
  let last = Infinity;
  return items.map((item) => {
    const place = Math.min(at(item), last - APART);
    last = place;
    return { item, at: place };
  });
}
