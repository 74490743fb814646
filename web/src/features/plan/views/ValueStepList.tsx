import type { ValueSteps } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { fixed, moneyFigure, perLength, significant } from '../../../units';
import { useSheet } from '../sheetContext';

/** The same as a table. */
export function ValueStepList({ ladder }: { ladder: ValueSteps }) {
  const { lengths } = usePreferences();
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
          {hasWatts && <th scope="col">W lost per {lengths}</th>}
          {hasWatts && <th scope="col">per W lost and {lengths}</th>}
        </tr>
      </thead>
      <tbody>
        {ladder.steps.map((step, i) => (
          <ValueRow
            key={step.rowId}
            point={ladder.points.find((p) => p.rowId === step.rowId)}
            step={step}
            isKnee={i === ladder.knee}
            isBeyond={i > ladder.knee}
            hasWatts={hasWatts}
          />
        ))}
        {ladder.points
          .filter((p) => !ladder.steps.some((s) => s.rowId === p.rowId))
          .map((point) => (
            <ValueRow key={point.rowId} point={point} hasWatts={hasWatts} isBeyond />
          ))}
      </tbody>
    </table>
  );
}

/** A row of the ledger among the values; a step up has what the next dB and watt cost on it. */
function ValueRow({
  point,
  step,
  isKnee = false,
  isBeyond,
  hasWatts,
}: {
  point: ValueSteps['points'][number] | undefined;
  step?: ValueSteps['steps'][number];
  isKnee?: boolean;
  /** Whether it costs more than it is worth, or is no step at all. */
  isBeyond: boolean;
  hasWatts: boolean;
}) {
  const { rowId, pickRow } = useSheet();
  const { lengths } = usePreferences();
  if (!point) return null;
  const cell = (value: number | null | undefined, tell: (value: number) => string) => (
    <td className="figures">{value == null ? '' : tell(value)}</td>
  );
  return (
    <tr
      className={`text-right [&>*]:border-b [&>*]:border-hairline [&>*]:py-1 [&>td]:pl-3 ${point.rowId === rowId ? 'bg-raised' : ''} ${isBeyond ? 'text-soft' : ''}`}
    >
      <th scope="row" className="text-left font-semibold">
        <button type="button" className="text-left" onClick={() => pickRow(point.rowId)}>
          {point.name}
        </button>
        {isKnee && <span className="font-normal text-soft">, the knee</span>}
        {!step && <span className="font-normal text-soft">, no step</span>}
      </th>
      {cell(point.cost, moneyFigure)}
      {cell(point.totalLossDb, (v) => fixed(v, 2))}
      {cell(step?.costPerDb, moneyFigure)}
      {hasWatts && cell(step?.costPerW, moneyFigure)}
      {hasWatts && cell(point.costPerDeliveredW, (v) => fixed(v, 2))}
      {hasWatts && cell(point.lostWPerM, (v) => significant(perLength(v, lengths)))}
      {hasWatts && cell(point.costPerLostWAndM, (v) => significant(perLength(v, lengths)))}
    </tr>
  );
}

/** Rows that have no place between cost and loss: their price is not known, or nothing arrives. */
export function Unplaced({ ladder }: { ladder: ValueSteps }) {
  const { ledger } = useSheet();
  const rows = (ledger?.rows ?? []).filter((r) => !ladder.points.some((p) => p.rowId === r.id));
  if (rows.length === 0) return null;
  return (
    <p className="pt-2 text-fine text-soft">
      Without a place here, for want of a price in {ladder.currency} or because nothing arrives:{' '}
      {rows.map((r) => r.name).join(', ')}. A price is typed in the opened row of the ledger.
    </p>
  );
}
