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

/** A search waits for the hand to rest. */
const TYPED_MS = 150;

/** What was typed to find something, once the hand rests, without blanks around it. */
export function useTyped(text: string): string {
  return useSettled(text.trim(), TYPED_MS);
}
