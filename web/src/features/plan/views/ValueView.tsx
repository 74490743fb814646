import { AxisBottom, AxisLeft } from '@visx/axis';
import { scaleLinear } from '@visx/scale';
import { useMemo, useRef } from 'react';
import type { CableType, Ladder } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, useWidth, SaveDrawing } from '../../../ui';
import { fixed, moneyFigure, plain } from '../../../units';
import { kneeSentence } from '../../../words';
import type { Plan } from '../document/model';
import { bandName, bandsOf, comparisonOf } from '../document/model';

const HEIGHT = 280;
const LEFT = 52;
const RIGHT = 16;
const TOP = 12;
const BOTTOM = 44;
const TICKS = { fill: 'var(--ink-soft)', fontSize: 11, fontFamily: 'var(--font-mono)' } as const;

/** Names nearer to each other than this would run into each other, px. */
const APART = 12;

/** Cost against loss on the band in focus: the steps up, and where they stop paying. */
export function ValueView({
  plan,
  focus,
  catalogue,
  selected,
  onSelect,
}: {
  plan: Plan;
  focus: number;
  catalogue: CableType[];
  selected: string | undefined;
  onSelect: (rowId: string) => void;
}) {
  const { settings, change } = usePreferences();
  const drawn = useRef<HTMLDivElement>(null);
  const worthPerDb = settings.cableWorthPerDb;
  const request = useMemo(
    () => ({
      ...comparisonOf(plan, catalogue, settings.tolerances, []),
      value: { band: focus, worthPerDb },
    }),
    [plan, catalogue, settings.tolerances, focus, worthPerDb],
  );
  const answer = useLedger(request);
  const ladder = answer.data?.ladder;
  const band = bandName(bandsOf(plan)[focus]);
  const currency = ladder?.currency ?? settings.currency;
  if (answer.error) {
    return (
      <p role="alert" className="px-4 py-6 text-fail">
        {answer.error.message}.
      </p>
    );
  }
  if (!ladder) {
    return (
      <p role="status" className="px-4 py-6 text-soft">
        Weighing cost against loss …
      </p>
    );
  }
  if (ladder.steps.length === 0) {
    return (
      <p className="px-4 py-6 text-soft">
        No cable of known price and the station’s impedance can be weighed on {band}.
      </p>
    );
  }
  return (
    <div
      className={`min-h-0 flex-1 overflow-y-auto px-4 py-2 ${answer.isPlaceholderData ? 'opacity-45' : ''}`}
      ref={drawn}
      data-testid="value-view"
      role="region"
      aria-label="cost against loss"
      tabIndex={0}
    >
      <p className="text-right">
        <SaveDrawing name={`${plan.name}, value`} drawn={drawn} asSvg={true} />
      </p>
      <p className="flex flex-wrap items-baseline gap-x-1 pb-1">
        <span>{kneeSentence(ladder, worthPerDb, band)}</span>
        <span className="ml-2 inline-flex items-baseline gap-1 text-soft">
          A dB is worth
          <QuantityField
            label="worth of a dB"
            kind="budget"
            unit=""
            unitLabel={currency}
            value={worthPerDb}
            show={(v) => plain(v, 2)}
            say={(v) => `${plain(v, 2)} ${currency}`}
            least={0.01}
            onCommit={(cableWorthPerDb) => change({ cableWorthPerDb })}
          />
          to me
        </span>
      </p>
      <div className="flex flex-wrap gap-x-6">
        <div className="min-w-[300px] flex-[3_1_420px]">
          <Drawing ladder={ladder} selected={selected} onSelect={onSelect} />
        </div>
        <div className="min-w-[280px] flex-[2_1_300px]">
          <Steps ladder={ladder} selected={selected} onSelect={onSelect} />
        </div>
      </div>
    </div>
  );
}

interface LadderProps {
  ladder: Ladder;
  selected: string | undefined;
  onSelect: (rowId: string) => void;
}

function Drawing({ ladder, selected, onSelect }: LadderProps) {
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
            <g key={p.rowId} className="cursor-pointer" onClick={() => onSelect(p.rowId)}>
              <title>{p.name}</title>
              <circle cx={x(p.totalLossDb)} cy={y(p.cost)} r="10" fill="transparent" />
              <rect
                x={x(p.totalLossDb) - (isStep ? 4 : 2.5)}
                y={y(p.cost) - (isStep ? 4 : 2.5)}
                width={isStep ? 8 : 5}
                height={isStep ? 8 : 5}
                fill={p.rowId === knee ? 'var(--ink)' : 'var(--paper)'}
                stroke={p.rowId === selected ? 'var(--blue)' : 'var(--ink-soft)'}
                strokeWidth={p.rowId === selected ? 2.5 : 1.2}
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

function Steps({ ladder, selected, onSelect }: LadderProps) {
  const currency = ladder.currency ?? '';
  const hasWatts = ladder.points.some((p) => p.costPerDeliveredW !== null);
  return (
    <table className="w-full text-fine">
      <caption className="pb-1 text-left text-soft">
        The steps, and what the next dB{hasWatts ? ' or watt' : ''} costs on each, {currency}
      </caption>
      <thead>
        <tr className="text-right text-small text-soft [&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pl-3 [&>th]:align-bottom [&>th]:font-normal">
          <th scope="col" className="!pl-0 text-left">
            cable
          </th>
          <th scope="col">{currency}</th>
          <th scope="col">dB</th>
          <th scope="col">per dB</th>
          {hasWatts && <th scope="col">per W more</th>}
          {hasWatts && <th scope="col">per W that arrives</th>}
        </tr>
      </thead>
      <tbody>
        {ladder.steps.map((step, i) => {
          const point = ladder.points.find((p) => p.rowId === step.rowId);
          if (!point) return null;
          return (
            <tr
              key={step.rowId}
              className={`text-right [&>*]:border-b [&>*]:border-hairline [&>*]:py-1 [&>td]:pl-3 ${step.rowId === selected ? 'bg-raised' : ''} ${i > ladder.knee ? 'text-soft' : ''}`}
            >
              <th scope="row" className="text-left font-semibold">
                <button type="button" onClick={() => onSelect(step.rowId)}>
                  {point.name}
                </button>
                {i === ladder.knee && <span className="font-normal text-soft">, the knee</span>}
              </th>
              <td className="figures">{moneyFigure(point.cost)}</td>
              <td className="figures">{fixed(point.totalLossDb, 2)}</td>
              <td className="figures">
                {step.costPerDb === null ? '' : moneyFigure(step.costPerDb)}
              </td>
              {hasWatts && (
                <td className="figures">
                  {step.costPerW === null ? '' : moneyFigure(step.costPerW)}
                </td>
              )}
              {hasWatts && (
                <td className="figures">
                  {point.costPerDeliveredW === null ? '' : fixed(point.costPerDeliveredW, 2)}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
