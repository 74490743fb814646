import { describe, expect, it } from 'vitest';
import { nameAfter, nameAt, nextBand } from './bandPlan';

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

describe('the name of a band', () => {
  it('is that of the usual band its frequency lies on, and none elsewhere', () => {
    expect(nameAt(144.3)).toBe('2 m');
    expect(nameAt(1240)).toBe('23 cm');
    expect(nameAt(100)).toBeUndefined();
  });

  it('follows its frequency to another band, unless it was typed', () => {
    expect(nameAfter('2 m', 145, 433)).toBe('70 cm');
    expect(nameAfter('2 m', 145, 100)).toBeUndefined();
    expect(nameAfter(undefined, 100, 14.2)).toBe('20 m');
    expect(nameAfter('repeater', 145, 433)).toBe('repeater');
    expect(nameAfter('20 m', 145, 433)).toBe('20 m');
  });
});
