import { useCallback, useState } from 'react';
import type { Command } from '../document/commands';

/** Attribute of the button that stands for an element in the list. */
export const STOP = 'data-element';

/**
 * One focus for the whole list of elements: ← → walk along the run, Home and End go to its ends, Alt with an arrow
 * carries the element along, Delete takes it out. Upward is toward the antenna, as the run stands on a phone.
 */
export function useWalk(
  count: number,
  onCommand: (command: Command) => void,
  start = 0,
  /** Whether an element stands in another branch, where the walk does not go. */
  isAside: (element: number) => boolean = () => false,
) {
  const [current, setCurrent] = useState(Math.max(0, start));

  const onKeyDown = useCallback(
    (e: React.KeyboardEvent) => {
      const stop = (e.target as HTMLElement).getAttribute(STOP);
      if (stop === null) return;
      const here = Number(stop);
      const there = onTheWay(placeAfter(e.key, here, count), here, count, isAside);
      if (there !== null && e.altKey && there !== here) {
        onCommand({ do: 'moveElement', from: here, to: there });
      } else if (e.key === 'Delete') {
        onCommand({ do: 'removeElement', element: here });
      }
      if (there === null && e.key !== 'Delete') return;
      e.preventDefault();
      const next = there ?? Math.min(here, count - 2);
      const list = e.currentTarget;
      setCurrent(next);
      // once the list has been drawn anew, where an element was moved
      requestAnimationFrame(() => list.querySelector<HTMLElement>(`[${STOP}="${next}"]`)?.focus());
    },
    [count, onCommand, isAside],
  );

  return { current: Math.min(current, Math.max(0, count - 1)), setCurrent, onKeyDown };
}

/** The next place that the walk may stop at, on in the same direction; where there is none, it stays. */
function onTheWay(
  there: number | null,
  here: number,
  count: number,
  isAside: (element: number) => boolean,
): number | null {
  if (there === null) return null;
  const step = there < here ? -1 : 1;
  for (let i = there; i >= 0 && i < count; i += step) {
    if (!isAside(i)) return i;
  }
  return here;
}

function placeAfter(key: string, here: number, count: number): number | null {
  switch (key) {
    case 'ArrowLeft':
    case 'ArrowDown':
      return Math.max(0, here - 1);
    case 'ArrowRight':
    case 'ArrowUp':
      return Math.min(count - 1, here + 1);
    case 'Home':
      return 0;
    case 'End':
      return count - 1;
    default:
      return null;
  }
}

export type Walk = ReturnType<typeof useWalk>;
