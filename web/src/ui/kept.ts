import { createContext, use, useMemo } from 'react';

/** What the fields below belong to, such as a plan; null where nothing is kept. */
export const KeptFor = createContext<string | null>(null);

/** Something half-typed, which is no value yet, kept by the browser over a reload and a closed tab. */
export interface Kept<T> {
  read: () => T | null;
  keep: (what: T) => void;
  forget: () => void;
}

const PREFIX = 'eskiz.typed.';

export function useKept<T>(key: string): Kept<T> {
  const owner = use(KeptFor);
  return useMemo(
    () => (owner === null ? (NOTHING as Kept<T>) : keptAt(`${PREFIX}${owner}.${key}`)),
    [owner, key],
  );
}

const NOTHING: Kept<unknown> = {
  read: () => null,
  keep: () => undefined,
  forget: () => undefined,
};

function keptAt<T>(place: string): Kept<T> {
  return {
    read: () => {
      try {
        return JSON.parse(localStorage.getItem(place) ?? 'null') as T | null;
      } catch {
        return null;
      }
    },
    keep: (what) => {
      try {
        localStorage.setItem(place, JSON.stringify(what));
      } catch {
        // a full store: the text still stands in its field
      }
    },
    forget: () => localStorage.removeItem(place),
  };
}
