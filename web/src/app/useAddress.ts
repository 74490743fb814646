import { useCallback, useLayoutEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/** Parts of an address: null or undefined takes a part out. */
export type AddressChange = Record<string, string | null | undefined>;

/** What stands behind the ? of the address: read, changed in parts, and begun anew. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  // The newest, drawn or not: a second click may come before the first was drawn.
  const newest = useRef(params);
  useLayoutEffect(() => {
    newest.current = params;
  }, [params]);
  const go = useCallback(
    (to: URLSearchParams) => {
      newest.current = to;
      setParams(to, { replace: true });
    },
    [setParams],
  );
  const put = useCallback(
    (changes: AddressChange) => {
      const after = new URLSearchParams(newest.current);
      for (const [name, value] of Object.entries(changes)) {
        if (value) after.set(name, value);
        else after.delete(name);
      }
      go(after);
    },
    [go],
  );
  /** Takes an id into the list of a part, or out of it; of more than the most the first go. */
  const toggle = useCallback(
    (name: string, id: string, most: number) => {
      const ids = listOf(newest.current, name);
      const next = ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id];
      put({ [name]: next.slice(-most).join(' ') });
    },
    [put],
  );
  const beginAnew = useCallback(
    (whole: Record<string, string>) => go(new URLSearchParams(whole)),
    [go],
  );
  return { params, put, toggle, beginAnew };
}

/** The ids that a part of an address lists. */
export function listOf(params: URLSearchParams, name: string): string[] {
  return (params.get(name) ?? '').split(' ').filter(Boolean);
}
