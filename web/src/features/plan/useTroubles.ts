import { useCallback, useState } from 'react';

/** Which fields of a sheet are not understood as they are typed; while there are any, its figures are old. */
export function useTroubles(): {
  isAny: boolean;
  trouble: (field: string, message: string | null) => void;
} {
  const [troubles, setTroubles] = useState<Record<string, string>>({});
  const trouble = useCallback((field: string, message: string | null) => {
    setTroubles((before) => {
      if (message === (before[field] ?? null)) return before;
      const others = Object.entries(before).filter(([name]) => name !== field);
      return Object.fromEntries(message === null ? others : [...others, [field, message]]);
    });
  }, []);
  return { isAny: Object.keys(troubles).length > 0, trouble };
}
