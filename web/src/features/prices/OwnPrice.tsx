import type { Schemas } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { inUnit, plain, today } from '../../units';

type Own = Schemas['OwnPrice'];

interface Props {
  of: Own['of'];
  priceKey: string;
  name: string;
  /** Of a cable per metre, of a connector each; null where nobody knows it. */
  price: number | null;
  currency: string | null;
  isSample: boolean;
}

/** A price that is typed where it stands: it becomes the operator's own, with its currency and its day. */
export function OwnPrice({ of, priceKey, name, price, currency, isSample }: Props) {
  const { settings, lengths, change } = usePreferences();
  const own = settings.ownPrices.find((p) => p.of === of && p.key === priceKey);
  const others = settings.ownPrices.filter((p) => p !== own);
  const isCable = of === 'CABLE';
  const per = isCable ? `/${lengths}` : '';
  const kind = isCable ? 'pricePerLength' : 'price';
  const put = (to: Partial<Own>) =>
    change({
      ownPrices: [
        ...others,
        {
          of,
          key: priceKey,
          amount: price ?? 0,
          currency: settings.currency,
          pricedOn: today(),
          soldInM: null,
          ...own,
          ...to,
        },
      ],
    });
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
        onCommit={(amount) => put({ amount, currency: settings.currency, pricedOn: today() })}
      />
      {own ? (
        <>
          <span className="text-small text-soft">yours, of</span>
          <input
            type="date"
            aria-label={`day of the price of ${name}`}
            className="in-place text-small"
            value={own.pricedOn}
            onChange={(e) => e.target.value && put({ pricedOn: e.target.value })}
          />
          <button
            type="button"
            className="quiet text-small"
            aria-label={`Drop your price of ${name}`}
            onClick={() => change({ ownPrices: others })}
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
