import type { Slot } from './ribbonLayout';

export const HEIGHT = 132;

/** What another branch than that of the band in focus takes below the ribbon. */
export const LANE_HEIGHT = 20;
export const RADIO_WIDTH = 92;
export const STUB = 36;
export const ANTENNA_WIDTH = 156;
export const RUN_LEFT = RADIO_WIDTH + STUB;

/** Below this the elements could not be told apart; the drawing scrolls instead. */
export const LEAST_RUN_WIDTH = 300;

export function middleOf(slot: Slot | undefined): number {
  return slot ? slot.x + slot.width / 2 : 0;
}

export function endOf(slots: Slot[], otherwise: number): number {
  const last = slots.at(-1);
  return last ? last.x + last.width : otherwise;
}

export function boundaryX(slots: Slot[], i: number): number {
  const slot = slots[i];
  if (slot) return i === 0 ? slot.x + 2 : slot.x;
  const last = slots.at(-1);
  return last ? last.x + last.width - 6 : 0;
}

/** Where a carried element would come to stand. */
export function dropX(slots: Slot[], from: number, to: number): number {
  const slot = slots[to];
  if (!slot) return 0;
  return to > from ? slot.x + slot.width : slot.x;
}
