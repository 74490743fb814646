import type { ValueSteps } from '../../../api';
import { fixed, moneyFigure } from '../../../units';
import { useSheet } from '../sheetContext';

/** The same as a table. */
export function ValueStepList({ ladder }: { ladder: ValueSteps }) {
  const { rowId, pickRow } = useSheet();
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
              className={`text-right [&>*]:border-b [&>*]:border-hairline [&>*]:py-1 [&>td]:pl-3 ${step.rowId === rowId ? 'bg-raised' : ''} ${i > ladder.knee ? 'text-soft' : ''}`}
            >
              <th scope="row" className="text-left font-semibold">
                <button type="button" onClick={() => pickRow(step.rowId)}>
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
