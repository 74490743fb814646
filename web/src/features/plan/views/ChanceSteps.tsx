import { moneyFigure } from '../../../units';
import { OUT_OF, shortChance, surerSentence } from '../../../words';
import { isAnythingAsked } from '../document/model';
import { useSheet } from '../sheetContext';

/** What more certainty costs: the steps from the cheapest cable to the surest, each with how many of twenty would pass. */
export function ChanceSteps({ currency }: { currency: string }) {
  const { plan, sureness, rowId, pickRow } = useSheet();
  if (!isAnythingAsked(plan)) {
    return <p className="py-4 text-soft">Ask something of the run first, then it has a chance.</p>;
  }
  if (sureness.steps.length === 0) {
    return (
      <p role="status" className="py-4 text-soft">
        Drawing what nobody knows exactly …
      </p>
    );
  }
  return (
    <div className="max-w-[760px]">
      <Sentences currency={currency} />
      <table className="w-full text-fine">
        <caption className="pb-1 text-left text-soft">
          From the cheapest to the surest, and what each step costs, {currency}
        </caption>
        <thead>
          <tr className="text-right text-small text-soft [&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pl-3 [&>th]:font-normal">
            <th scope="col" className="!pl-0 text-left">
              cable
            </th>
            <th scope="col" className="text-left">
              of twenty like it would pass
            </th>
            <th scope="col">{currency}</th>
            <th scope="col">for the step</th>
            <th scope="col" className="max-[699px]:hidden">
              for each more of 20
            </th>
          </tr>
        </thead>
        <tbody>
          {sureness.steps.map((step) => (
            <tr
              key={step.rowId}
              className={`text-right [&>*]:border-b [&>*]:border-hairline [&>*]:py-1.5 [&>td]:pl-3 ${step.rowId === rowId ? 'bg-raised' : ''}`}
            >
              <th scope="row" className="text-left font-semibold">
                <button type="button" className="text-left" onClick={() => pickRow(step.rowId)}>
                  {step.name}
                </button>
              </th>
              <td className="text-left">
                <Twenty passing={step.passing} />
              </td>
              <td className="figures">{moneyFigure(step.cost)}</td>
              <td className="figures">
                {step.costOfStep !== null && moneyFigure(step.costOfStep)}
              </td>
              <td className="figures max-[699px]:hidden">
                {step.costPerMore !== null && moneyFigure(step.costPerMore)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Twenty runs like it, those that would pass filled. */
function Twenty({ passing }: { passing: number }) {
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <svg width={OUT_OF * 8} height="10" className="shrink-0" aria-hidden="true">
        {Array.from({ length: OUT_OF }, (_, i) => (
          <rect
            key={i}
            x={i * 8 + 0.5}
            y="0.5"
            width="5"
            height="9"
            fill={i < passing ? 'var(--copper)' : 'none'}
            stroke={i < passing ? 'var(--copper)' : 'var(--ink-soft)'}
          />
        ))}
      </svg>
      <span className="figures whitespace-nowrap text-soft">{shortChance(passing)}</span>
    </span>
  );
}

/** One sentence for each step up. */
function Sentences({ currency }: { currency: string }) {
  const { steps } = useSheet().sureness;
  return (
    <p className="pb-2">
      {steps
        .flatMap((to, i) => {
          const from = steps[i - 1];
          return from && to.costOfStep !== null
            ? [surerSentence(from, to, to.more, `${moneyFigure(to.costOfStep)} ${currency}`)]
            : [];
        })
        .join(' ')}
    </p>
  );
}
