import { usePreferences } from '../../app/preferences';
import { DayField, QuantityField } from '../../ui';
import { inUnit, plain, today } from '../../units';
import type { OwnPriceOf } from './useOwnPrices';
import { useOwnPrices } from './useOwnPrices';

interface Props {
  of: OwnPriceOf['of'];
  priceKey: string;
  name: string;
  /** Of a cable per metre, of a connector each; null where nobody knows it. */
  price: number | null;
  currency: string | null;
  isSample: boolean;
}

/** A price that is typed where it stands: it becomes the operator's own, with its currency and its day. */
export function OwnPrice({ of, priceKey, name, price, currency, isSample }: Props) {
  const { settings, lengths } = usePreferences();
  const prices = useOwnPrices();
  const own = prices.find(of, priceKey);
  const isCable = of === 'CABLE';
  const per = isCable ? `/${lengths}` : '';
  const kind = isCable ? 'pricePerLength' : 'price';
  const shown = (amount: number) => plain(isCable ? inUnit(amount, kind, per) : amount, 4);
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-2">
      <QuantityField
        label={`price of ${name}`}
        keptAs={`price ${of} ${priceKey}`}
        kind={kind}
        unit={per}
        unitLabel={`${currency ?? settings.currency}${isCable ? ` per ${lengths}` : ' each'}`}
        value={price ?? undefined}
        show={shown}
        say={(v) => `${shown(v)} ${settings.currency}${isCable ? ` per ${lengths}` : ''}`}
        onCommit={(amount) =>
          prices.put({
            of,
            key: priceKey,
            amount,
            currency: settings.currency,
            pricedOn: today(),
            soldInM: own?.soldInM ?? null,
          })
        }
      />
      {own ? (
        <>
          <span className="text-small text-soft">yours, of</span>
          <DayField
            label={`day of the price of ${name}`}
            value={own.pricedOn}
            onChange={(day) => day && prices.put({ ...own, pricedOn: day })}
            className="in-place text-small"
          />
          <button
            type="button"
            className="quiet text-small"
            aria-label={`Drop your price of ${name}`}
            onClick={() => prices.drop(of, priceKey)}
          >
            Drop your price
          </button>
        </>
      ) : (
        isSample && (
          <span className="text-small text-soft">a sample: type your own price over it</span>
        )
      )}
    </span>
  );
}
