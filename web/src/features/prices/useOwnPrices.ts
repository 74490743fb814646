import type { Schemas } from '../../api';
import { usePreferences } from '../../app/preferences';

export type OwnPriceOf = Schemas['OwnPrice'];

/** The operator's own prices, which stand in place of those of the catalogue. */
export function useOwnPrices() {
  const { settings, change } = usePreferences();
  const others = (of: OwnPriceOf['of'], key: string) =>
    settings.ownPrices.filter((p) => p.of !== of || p.key !== key);
  return {
    find: (of: OwnPriceOf['of'], key: string) =>
      settings.ownPrices.find((p) => p.of === of && p.key === key),
    put: (price: OwnPriceOf) => change({ ownPrices: [...others(price.of, price.key), price] }),
    /** To be called too where a type or connector of one's own was given another price: the newest one counts. */
    drop(of: OwnPriceOf['of'], key: string) {
      const left = others(of, key);
      if (left.length < settings.ownPrices.length) change({ ownPrices: left });
    },
  };
}
