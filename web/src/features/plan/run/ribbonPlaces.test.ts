import { describe, expect, it } from 'vitest';
import { boundaryX, dropX, endOf, middleOf } from './ribbonPlaces';

const SLOTS = [
  { x: 0, width: 40 },
  { x: 40, width: 200 },
  { x: 240, width: 40 },
];

describe('places on the ribbon', () => {
  it('are the middles of elements, and the end of the last', () => {
    expect(middleOf(SLOTS[1])).toBe(140);
    expect(middleOf(undefined)).toBe(0);
    expect(endOf(SLOTS, 999)).toBe(280);
    expect(endOf([], 999)).toBe(999);
  });

  it('are the boundaries at which figures stand, within the drawing', () => {
    expect(SLOTS.map((_, i) => boundaryX(SLOTS, i))).toEqual([2, 40, 240]);
    expect(boundaryX(SLOTS, 3)).toBe(274);
    expect(boundaryX([], 0)).toBe(0);
  });

  it('are where a carried element would stand: behind those it passes, before those it comes to', () => {
    expect(dropX(SLOTS, 0, 2)).toBe(280);
    expect(dropX(SLOTS, 2, 0)).toBe(0);
    expect(dropX(SLOTS, 1, 1)).toBe(40);
    expect(dropX(SLOTS, 1, 9)).toBe(0);
  });
});
