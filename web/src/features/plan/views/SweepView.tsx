import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { CableType, Ledger, Schemas } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Choice, Plot, QuantityField, Select, SaveDrawing } from '../../../ui';
import {
  FEET_PER_METRE,
  amountOf,
  frequencyText,
  lengthFigure,
  lengthText,
  plain,
  shownReading,
  unitOf,
} from '../../../units';
import type { Plan } from '../document/model';
import { bandName, bandsOf, candidateLengthM, comparisonOf, powerOn } from '../document/model';
import { saveCsv } from './exports';

type Point = Schemas['CurvePointResponse'];
type Over = 'frequency' | 'length';
type Figure = 'arrives' | 'swrAtRadio' | 'swrAtAntenna' | 'matched';

const POINTS = 201;
const MOST_ROWS = 6;

/** The view reaches so far beyond the lowest and the highest band. */
const BEYOND = 1.5;

/** An SWR above this says only that it is bad. */
const MOST_SWR = 10;

interface Props {
  plan: Plan;
  focus: number;
  catalogue: CableType[];
  ledger: Ledger | undefined;
  selected: string | undefined;
}

/** Candidates over frequency, with the bands marked, or over length: what arrives, and the SWR at either end. */
export function SweepView(props: Props) {
  const { plan, focus, catalogue, ledger, selected } = props;
  const { reading, lengths, settings } = usePreferences();
  const [over, setOver] = useState<Over>('frequency');
  const [figure, setFigure] = useState<Figure>('arrives');
  const [chosen, setChosen] = useState<string[] | null>(null);
  const [range, setRange] = useState<{ from?: number; to?: number; length?: number }>({});
  const drawing = useRef<HTMLDivElement>(null);

  const bands = bandsOf(plan);
  const frequencies = bands.map((b) => b.frequencyMHz ?? 0).filter((f) => f > 0);
  const from = range.from ?? Math.max(0.1, Math.min(...frequencies) / BEYOND);
  const to = range.to ?? Math.min(30_000, Math.max(...frequencies) * BEYOND);
  const toM = range.length ?? Math.max(10, 2 * candidateLengthM(plan));
  const rows = chosen ?? usualRows(ledger, selected);
  const radioW = powerOn(plan, bands[focus]);
  const shown = shownReading(reading, radioW !== null);
  const request = {
    comparison: comparisonOf(plan, catalogue, settings.tolerances, []),
    rowIds: rows,
    ...(over === 'frequency'
      ? { overFrequency: { fromMHz: from, toMHz: to, points: POINTS } }
      : { overLength: { band: focus, toM, points: POINTS } }),
  };
  const answer = useQuery({
    queryKey: ['sweep', request],
    queryFn: ({ signal }) => answered(api.POST('/api/sweeps', { body: request, signal })),
    enabled: rows.length > 0 && bands.length > 0,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });

  const isSwr = figure === 'swrAtRadio' || figure === 'swrAtAntenna';
  const valueOf = (p: Point | null): number => {
    if (p === null) return NaN;
    if (isSwr) return p[figure] ?? Infinity;
    if (figure === 'matched') return p.matchedLossDb;
    return amountOf({ lossDb: p.totalLossDb, watts: p.powerAtAntennaW }, shown);
  };
  const scale = over === 'length' && lengths === 'ft' ? FEET_PER_METRE : 1;
  const unit = isSwr ? 'SWR' : figure === 'matched' ? 'dB' : unitOf(shown);
  const curves = (answer.data?.rows ?? []).map((row) => ({
    id: row.id,
    label: row.name,
    points: row.points.flatMap((p, i) => {
      const x = (answer.data?.at[i] ?? 0) * scale;
      const isOfAnother = i > 0 && answer.data?.bands[i] !== answer.data?.bands[i - 1];
      // one band's antenna ends where the next one's begins: the curve is broken, not steep
      return [...(isOfAnother ? [{ x, y: NaN }] : []), { x, y: valueOf(p) }];
    }),
  }));
  const others = (ledger?.rows ?? []).filter((r) => !rows.includes(r.id));

  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
      data-testid="sweep-view"
      role="region"
      aria-label="curves"
      tabIndex={0}
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <Choice<Figure>
          label="what is drawn"
          value={figure}
          options={[
            { value: 'arrives', text: radioW === null ? 'what arrives' : 'power at the antenna' },
            { value: 'matched', text: 'matched loss' },
            { value: 'swrAtRadio', text: 'SWR at the radio' },
            { value: 'swrAtAntenna', text: 'SWR at the antenna' },
          ]}
          onChange={setFigure}
        />
        <Choice<Over>
          label="over what"
          value={over}
          options={[
            { value: 'frequency', text: 'over frequency' },
            { value: 'length', text: `over length, on ${bandName(bands[focus])}` },
          ]}
          onChange={setOver}
        />
        {over === 'frequency' ? (
          <>
            <QuantityField
              label="from frequency"
              kind="frequency"
              unit="mhz"
              unitLabel="MHz"
              value={from}
              show={(v) => plain(v, 3)}
              say={frequencyText}
              onCommit={(v) => v < to && setRange({ ...range, from: v })}
            />
            <span className="text-soft">to</span>
            <QuantityField
              label="to frequency"
              kind="frequency"
              unit="mhz"
              unitLabel="MHz"
              value={to}
              show={(v) => plain(v, 3)}
              say={frequencyText}
              onCommit={(v) => v > from && setRange({ ...range, to: v })}
            />
          </>
        ) : (
          <span className="inline-flex items-baseline gap-1">
            <span className="text-soft">up to</span>
            <QuantityField
              label="up to length"
              kind="length"
              unit={lengths}
              unitLabel={lengths}
              value={toM}
              least={1}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={(v) => setRange({ ...range, length: v })}
            />
          </span>
        )}
        <span className="ml-auto flex gap-4">
          <button
            type="button"
            className="quiet"
            disabled={curves.length === 0 || answer.isPlaceholderData}
            onClick={() => answer.data && saveCsv(plan.name, over, answer.data)}
          >
            save as CSV
          </button>
          <SaveDrawing
            name={plan.name}
            drawn={drawing}
            disabled={curves.length === 0 || answer.isPlaceholderData}
          />
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1">
        {rows.map((id) => (
          <span key={id} className="inline-flex items-baseline gap-1">
            {ledger?.rows.find((r) => r.id === id)?.name ?? id}
            <button
              type="button"
              className="quiet min-h-6 min-w-6"
              aria-label={`take ${id} off the drawing`}
              onClick={() => setChosen(rows.filter((r) => r !== id))}
            >
              ×
            </button>
          </span>
        ))}
        {rows.length < MOST_ROWS && others.length > 0 && (
          <Select
            label="lay another cable over it"
            placeholder="lay another over it …"
            value=""
            options={others.map((r) => ({ value: r.id, text: r.name }))}
            onChange={(id) => setChosen([...rows, id])}
          />
        )}
      </div>
      {answer.error && (
        <p role="alert" className="text-fail">
          {answer.error.message}.
        </p>
      )}
      {rows.length === 0 && <p className="py-6 text-soft">Choose a cable to draw.</p>}
      <div ref={drawing}>
        <Plot
          label={`${unit} over ${over}`}
          xLabel={over === 'frequency' ? 'MHz' : lengths}
          yLabel={unit}
          height={330}
          isLog={over === 'frequency'}
          fromZero={!isSwr && (shown === 'watts' || shown === 'percent' || figure === 'matched')}
          mostY={isSwr ? MOST_SWR : undefined}
          curves={curves}
          marks={
            over === 'frequency'
              ? bands.map((b) => ({ x: b.frequencyMHz ?? 0, label: bandName(b) }))
              : [{ x: candidateLengthM(plan) * scale, label: 'now' }]
          }
          say={(v) => plain(v, isSwr ? 2 : 1)}
          sayX={(v) => plain(v, v < 10 ? 2 : v < 100 ? 1 : 0)}
        />
      </div>
      {over === 'frequency' && (
        <p className="pb-3 text-small text-soft">
          Between the bands, radio and antenna are taken as on the nearest band: what they are there
          nobody has said.
        </p>
      )}
    </div>
  );
}

/** The row that is shown, the one in the run, and the first that passes. */
function usualRows(ledger: Ledger | undefined, selected: string | undefined): string[] {
  const first = ledger?.rows.find((r) => r.verdict === 'PASS' && r.suitability === 'SUITED')?.id;
  const usual = [selected, ledger?.presentRowId, first].filter((id) => id != null);
  return [...new Set(usual)];
}
