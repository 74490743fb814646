import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What stands behind the ? of the address: read, changed in parts (null takes a part out), and begun anew. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const put = useCallback(
    (changes: Record<string, string | null>) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          for (const [name, value] of Object.entries(changes)) {
            if (value) after.set(name, value);
            else after.delete(name);
          }
          return after;
        },
        { replace: true },
      ),
    [setParams],
  );
  const beginAnew = useCallback(
    (whole: Record<string, string>) => setParams(whole, { replace: true }),
    [setParams],
  );
  return { params, put, beginAnew };
}
