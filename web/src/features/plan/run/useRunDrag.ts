import { useState } from 'react';
import type { Command } from '../commands';
import type { Element } from '../model';
import { indexAt, pxPerMetre, stretched } from './ribbonLayout';
import type { Slot } from './ribbonLayout';

/** A press that moves less than this is no drag, px. */
const THRESHOLD = 6;

/** Lengths are drawn to a tenth of a metre. */
const STEP_M = 0.1;

type Drag =
  | { kind: 'carry'; index: number; startX: number; byPx: number; target: number }
  | {
      kind: 'stretch';
      index: number;
      startX: number;
      startM: number;
      slots: Slot[];
      byPx: number;
      stroke: string;
    };

/** Carrying elements along the run and drawing lines longer, with the scale standing still meanwhile. */
export function useRunDrag(run: Element[], slots: Slot[], onCommand: (command: Command) => void) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const hasMoved = drag !== null && Math.abs(drag.byPx) >= THRESHOLD;

  function carry(index: number, e: React.PointerEvent) {
    if (e.button !== 0 || (e.target as HTMLElement).closest('input, [role=group]')) return;
    setDrag({ kind: 'carry', index, startX: e.clientX, byPx: 0, target: index });
  }

  function stretch(index: number, e: React.PointerEvent) {
    const element = run[index];
    if (e.button !== 0 || element?.kind !== 'LINE') return;
    e.preventDefault();
    (e.currentTarget as HTMLElement).setPointerCapture(e.pointerId);
    setDrag({
      kind: 'stretch',
      index,
      startX: e.clientX,
      startM: element.lengthM ?? 0,
      slots,
      byPx: 0,
      stroke: crypto.randomUUID(),
    });
  }

  function move(e: React.PointerEvent) {
    if (!drag) return;
    const byPx = e.clientX - drag.startX;
    if (drag.kind === 'carry') {
      const slot = slots[drag.index];
      if (!slot) return;
      if (Math.abs(byPx) >= THRESHOLD) {
        (e.currentTarget as HTMLElement).setPointerCapture(e.pointerId);
      }
      const target = indexAt(slots, drag.index, slot.x + slot.width / 2 + byPx);
      setDrag({ ...drag, byPx, target });
      return;
    }
    setDrag({ ...drag, byPx });
    const lengthM = drag.startM + byPx / pxPerMetre(run, drag.slots);
    const rounded = Math.max(STEP_M, Math.round(lengthM / STEP_M) * STEP_M);
    onCommand({
      do: 'setLength',
      element: drag.index,
      lengthM: Number(rounded.toFixed(1)),
      stroke: drag.stroke,
    });
  }

  function drop() {
    if (drag?.kind === 'carry' && hasMoved && drag.target !== drag.index) {
      onCommand({ do: 'moveElement', from: drag.index, to: drag.target });
    }
    setDrag(null);
  }

  return {
    carried: drag?.kind === 'carry' && hasMoved ? drag : null,
    isDragging: hasMoved,
    slots: drag?.kind === 'stretch' ? stretched(drag.slots, drag.index, drag.byPx) : slots,
    carry,
    stretch,
    move,
    drop,
  };
}
