import { useState } from 'react';

const PREFIX = 'eskiz.locker.';

/** A state that the browser keeps: what is being worked out on a sheet is there again after a reload. */
export function useKeptState<T extends object>(name: string, usual: T): [T, (next: T) => void] {
  const [state, setState] = useState<T>(() => ({ ...usual, ...read<T>(name) }));
  return [
    state,
    (next) => {
      setState(next);
      try {
        localStorage.setItem(PREFIX + name, JSON.stringify(next));
      } catch {
        // a full store: it stands on the sheet all the same
      }
    },
  ];
}

function read<T>(name: string): Partial<T> {
  try {
    return (JSON.parse(localStorage.getItem(PREFIX + name) ?? '{}') ?? {}) as Partial<T>;
  } catch {
    return {};
  }
}
