import { usePreferences } from '../../../app/preferences';
import { Fact, QuantityField } from '../../../ui';
import { plain } from '../../../units';
import type { Element } from '../document/model';
import { useSheet } from '../sheetContext';

/** Whether an element is there already; else what it costs, where nothing else says so. */
export function Owning({ element, index }: { element: Element; index: number }) {
  const { command, trouble } = useSheet();
  const { settings } = usePreferences();
  if (element.kind === 'LINE' && (element.candidate || element.pieceId)) return null;
  const change = (to: Partial<Element>) =>
    command({ do: 'changeElement', element: index, to: { ...element, ...to } as Element });
  const isPriced = element.kind !== 'JOINT' || element.barrel === true;
  const currency = element.price?.currency ?? settings.currency;
  return (
    <>
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={element.owned === true}
          onChange={(e) => change({ owned: e.target.checked || undefined })}
        />
        <span>I have it already; buy nothing for it</span>
      </label>
      {!element.owned && isPriced && (
        <Fact label={element.kind === 'LINE' ? 'bought made up, with its ends, for' : 'its price'}>
          <QuantityField
            label="price of this part"
            keptAs={`price ${element.id ?? index}`}
            kind="price"
            unit=""
            unitLabel={currency}
            value={element.price?.amount}
            show={(v) => plain(v, 2)}
            say={(v) => `${plain(v, 2)} ${currency}`}
            onCommit={(amount) => change({ price: { amount, currency: settings.currency } })}
            onTrouble={(message) => trouble(`price ${index}`, message)}
          />
        </Fact>
      )}
    </>
  );
}
