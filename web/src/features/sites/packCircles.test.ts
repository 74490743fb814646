import { describe, expect, it } from 'vitest';
import { packCircles } from './packCircles';

describe('cables drawn in a duct', () => {
  it('lie in the bore and never in each other', () => {
    const placed = packCircles(40, [10.3, 10.3, 5, 5, 6.1]);
    expect(placed).toHaveLength(5);
    for (const [i, a] of placed.entries()) {
      expect(Math.hypot(a.x, a.y) + a.r).toBeLessThanOrEqual(20 + 1e-5);
      for (const b of placed.slice(i + 1)) {
        expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(a.r + b.r - 1e-5);
      }
    }
  });

  it('lie at the bottom', () => {
    expect(packCircles(20, [10])[0]).toEqual({ x: 0, y: 5, r: 5 });
  });

  it('are left out where there is no room', () => {
    expect(packCircles(12, [10, 10])).toHaveLength(1);
    expect(packCircles(8, [10])).toHaveLength(0);
  });
});
