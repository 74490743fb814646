import { useRef, useState } from 'react';

/** A pause longer than this ends a burst of typing, which is one step. */
const BURST_PAUSE_MS = 1200;

/** Nobody undoes further back. */
const MOST_STEPS = 100;

export interface Undo<T> {
  /** Changes what stands; one step of undo, or a part of the burst before it. */
  change: (next: T) => void;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
}

/** Undo of whatever stands on a sheet, whoever keeps it. */
export function useUndo<T>(present: T, onChange: (next: T) => void): Undo<T> {
  const [steps, setSteps] = useState<{ past: T[]; future: T[] }>({ past: [], future: [] });
  const changedAt = useRef(Number.NEGATIVE_INFINITY);
  return {
    change(next) {
      const now = Date.now();
      const goesOn = now - changedAt.current <= BURST_PAUSE_MS && steps.past.length > 0;
      changedAt.current = now;
      setSteps({
        past: goesOn ? steps.past : [...steps.past, present].slice(-MOST_STEPS),
        future: [],
      });
      onChange(next);
    },
    undo() {
      const before = steps.past.at(-1);
      if (before === undefined) return;
      changedAt.current = Number.NEGATIVE_INFINITY;
      setSteps({ past: steps.past.slice(0, -1), future: [present, ...steps.future] });
      onChange(before);
    },
    redo() {
      const [after, ...rest] = steps.future;
      if (after === undefined) return;
      changedAt.current = Number.NEGATIVE_INFINITY;
      setSteps({ past: [...steps.past, present], future: rest });
      onChange(after);
    },
    canUndo: steps.past.length > 0,
    canRedo: steps.future.length > 0,
  };
}
