import { useEffect, useState } from 'react';

/** A value as it was when it had not changed for a while. */
export function useSettled<T>(value: T, afterMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}
