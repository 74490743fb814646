import { newId } from '../../ui/newId';
import { useCableTypes } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField, Select, TextField } from '../../ui';
import { lengthFigure, lengthText, plain } from '../../units';
import type { PartProps } from './SitePage';
import type { SiteDocument } from './useSite';

type Props = Pick<PartProps, 'document' | 'change'>;
type There = NonNullable<SiteDocument['reels']>[number];
type Offer = NonNullable<SiteDocument['offers']>[number];

/** Reels that are there are used before anything is bought. */
export function ReelsThere({ document, change }: Props) {
  return (
    <ReelList<There>
      list={document.reels ?? []}
      onChange={(reels) => change({ ...document, reels })}
      what="reel"
      add="Add a reel that is there"
      fresh={{ name: 'Reel', lengthM: 25 }}
      before={(reel, label, put) => (
        <TextField
          label={`name of ${label}`}
          value={reel.name}
          className="w-[14ch]"
          onCommit={(name) => put({ ...reel, name })}
        />
      )}
    />
  );
}

/** Whole reels that can be bought at a price of their own. */
export function Offers({ document, change }: Props) {
  const { currency } = usePreferences().settings;
  return (
    <ReelList<Offer>
      list={document.offers ?? []}
      onChange={(offers) => change({ ...document, offers })}
      what="offer"
      add="Add a reel that is on offer"
      fresh={{ lengthM: 100, price: 100 }}
      before={() => 'A reel of'}
      after={(offer, label, put) => (
        <>
          for
          <QuantityField
            label={`price of ${label}`}
            keptAs={`price ${offer.id}`}
            kind="price"
            unit=""
            unitLabel={currency}
            value={offer.price}
            show={(v) => plain(v, 2)}
            say={(v) => `${plain(v, 2)} ${currency}`}
            onCommit={(price) => put({ ...offer, price })}
          />
        </>
      )}
    />
  );
}

type Part<T> = (reel: T, label: string, put: (to: T) => void) => React.ReactNode;

/** Reels of some cable and length, one a line. */
function ReelList<T extends { id: string; cableKey: string; lengthM: number }>({
  list,
  onChange,
  what,
  add,
  fresh,
  before,
  after,
}: {
  list: readonly T[];
  onChange: (list: T[]) => void;
  what: string;
  add: string;
  /** What a new one is besides its id and its cable. */
  fresh: Omit<T, 'id' | 'cableKey'>;
  before: Part<T>;
  after?: Part<T>;
}) {
  const { lengths } = usePreferences();
  const types = useCableTypes().data ?? [];
  const names = types.map((t) => ({ value: t.key, text: t.name }));
  return (
    <div className="flex flex-col gap-1 text-fine print:hidden">
      {list.map((reel, i) => {
        const label = `${what} ${i + 1}`;
        const put = (to: T) => onChange(list.with(i, to));
        return (
          <span key={reel.id} className="flex flex-wrap items-baseline gap-x-2">
            {before(reel, label, put)}
            <Select
              label={`cable of ${label}`}
              value={reel.cableKey}
              options={names}
              onChange={(cableKey) => put({ ...reel, cableKey })}
            />
            <QuantityField
              label={`length of ${label}`}
              keptAs={`${what} ${reel.id}`}
              kind="length"
              unit={lengths}
              unitLabel={lengths}
              least={0.1}
              value={reel.lengthM}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={(lengthM) => put({ ...reel, lengthM })}
            />
            {after?.(reel, label, put)}
            <button
              type="button"
              className="quiet"
              aria-label={`Remove ${label}`}
              onClick={() => onChange(list.toSpliced(i, 1))}
            >
              Remove
            </button>
          </span>
        );
      })}
      {names[0] && (
        <button
          type="button"
          className="quiet self-start"
          onClick={() =>
            onChange([...list, { ...fresh, id: newId(), cableKey: names[0]?.value } as T])
          }
        >
          {add}
        </button>
      )}
    </div>
  );
}
