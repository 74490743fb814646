import { usePreferences } from '../../../app/preferences';
import { Fact, OpensInPlace, QuantityField, Select } from '../../../ui';
import { moneyFigure, plain } from '../../../units';
import { timesOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { sentences } from '../../../words';

const TIMES = [1, 2, 4].map((n) => ({
  value: String(n),
  text: n === 1 ? 'one run' : `${n} equal runs`,
}));

/** How often the run is needed, and who makes up its ends. */
export function Bought() {
  const { plan, command, trouble } = useSheet();
  const { settings } = usePreferences();
  const purchase = plan.document.purchase ?? {};
  const times = timesOf(plan);
  const end = purchase.readyMadeEnd;
  const said = [
    times === 1 ? 'one run' : `${times} equal runs`,
    end ? `ends ready-made at ${moneyFigure(end.amount)} ${end.currency}` : 'you fit the ends',
  ];
  return (
    <OpensInPlace
      label="how it is bought"
      text={said.join(', ')}
      className="in-place ml-auto min-h-6 text-soft"
    >
      {() => (
        <>
          <Fact label="needed">
            <Select
              label="how often the run is needed"
              value={String(times)}
              options={TIMES}
              onChange={(n) => command({ do: 'buy', purchase: { ...purchase, times: Number(n) } })}
            />
          </Fact>
          <Fact label="ends">
            <Select
              label="who makes up the ends"
              value={end ? 'ready' : 'fitted'}
              options={[
                { value: 'fitted', text: 'I fit them myself' },
                { value: 'ready', text: 'ready-made' },
              ]}
              onChange={(who) =>
                command({
                  do: 'buy',
                  purchase: {
                    ...purchase,
                    readyMadeEnd:
                      who === 'ready' ? { amount: 10, currency: settings.currency } : undefined,
                  },
                })
              }
            />
          </Fact>
          {end && (
            <Fact label="price of one end">
              <QuantityField
                label="price of one ready-made end"
                kind="price"
                unit=""
                unitLabel={end.currency}
                value={end.amount}
                show={(v) => plain(v, 2)}
                say={(v) => `${plain(v, 2)} ${end.currency}`}
                onCommit={(amount) =>
                  command({
                    do: 'buy',
                    purchase: { ...purchase, readyMadeEnd: { ...end, amount } },
                  })
                }
                onTrouble={(message) => trouble('ready-made end', message)}
              />
            </Fact>
          )}
          <p className="text-small text-soft">{sentences.costsOfAllRuns}</p>
        </>
      )}
    </OpensInPlace>
  );
}
