import { describe, expect, it } from 'vitest';
import { nextBand } from './bandPlan';

describe('the band to offer next', () => {
  it('is the next one above those there are', () => {
    expect(nextBand([7.05, 14.2], 1)).toEqual({ name: '17 m', frequencyMHz: 18.1 });
    expect(nextBand([145.5], 1).name).toBe('70 cm');
  });

  it('follows the region', () => {
    expect(nextBand([145.5], 2)).toEqual({ name: '1.25 m', frequencyMHz: 223.5 });
  });

  it('is the lowest that is missing once the highest is there', () => {
    expect(nextBand([10368], 1).name).toBe('160 m');
  });
});
