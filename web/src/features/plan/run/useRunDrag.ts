import { useState } from 'react';
import { followPointer } from '../../../ui';
import type { Command } from '../document/commands';
import { indexAt, pxPerMetre, stretched } from './ribbonLayout';
import type { Sized, Slot } from './ribbonLayout';

/** Lengths are drawn to a tenth of a metre. */
const STEP_M = 0.1;

interface Carry {
  index: number;
  byPx: number;
  target: number;
}

interface Stretch {
  index: number;
  byPx: number;
  /** As they were when it began. */
  slots: Slot[];
}

/** Carrying elements along the run and drawing lines longer, with the scale standing still meanwhile. */
export function useRunDrag(run: Sized[], slots: Slot[], onCommand: (command: Command) => void) {
  const [carried, setCarried] = useState<Carry | null>(null);
  const [drawn, setDrawn] = useState<Stretch | null>(null);

  function carry(index: number, e: React.PointerEvent) {
    const slot = slots[index];
    const isOther = (e.target as HTMLElement).closest('input, [role=group]') !== null;
    if (e.button !== 0 || !slot || isOther) return;
    let target = index;
    followPointer(
      e,
      (byPx) => {
        target = indexAt(slots, index, slot.x + slot.width / 2 + byPx);
        setCarried({ index, byPx, target });
      },
      (isDrag) => {
        setCarried(null);
        if (isDrag && target !== index) onCommand({ do: 'moveElement', from: index, to: target });
      },
    );
  }

  function stretch(index: number, e: React.PointerEvent) {
    const element = run[index];
    if (e.button !== 0 || element?.kind !== 'LINE') return;
    e.preventDefault();
    const stroke = crypto.randomUUID();
    const startM = element.lengthM ?? 0;
    const scale = pxPerMetre(run, slots);
    followPointer(
      e,
      (byPx) => {
        setDrawn({ index, byPx, slots });
        const steps = Math.max(1, Math.round((startM + byPx / scale) / STEP_M));
        const lengthM = Number((steps * STEP_M).toFixed(1));
        onCommand({ do: 'setLength', element: index, lengthM, stroke });
      },
      () => setDrawn(null),
    );
  }

  return {
    carried,
    isDragging: carried !== null || drawn !== null,
    slots: drawn ? stretched(drawn.slots, drawn.index, drawn.byPx) : slots,
    carry,
    stretch,
  };
}

export type RunDrag = ReturnType<typeof useRunDrag>;
