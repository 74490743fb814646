import { describe, expect, it } from 'vitest';
import { bandAt, figuresOf } from './bandsOnPaper';
import type { RunSheet } from './usePaper';

describe('the bands on paper', () => {
  const bands = [
    { id: 'a', name: '13 cm', frequencyMHz: 2400 },
    { id: 'b', name: '2 m', frequencyMHz: 145 },
    { frequencyMHz: 7.1 },
  ];
  // on 13 cm too much is lost to be assessed
  const sheet = {
    bands: [
      { id: 'b', frequencyMHz: 145 },
      { id: null, frequencyMHz: 7.1 },
    ],
  } as unknown as RunSheet;

  it('keep their figures where another band has none', () => {
    expect(figuresOf(sheet, bands[0])).toBeUndefined();
    expect(figuresOf(sheet, bands[1])?.frequencyMHz).toBe(145);
    expect(figuresOf(sheet, bands[2])?.frequencyMHz).toBe(7.1);
    expect(figuresOf(sheet, undefined)).toBeUndefined();
  });

  it('keep their names', () => {
    expect(bandAt(sheet, 0, bands)?.name).toBe('2 m');
    expect(bandAt(sheet, 1, bands)?.frequencyMHz).toBe(7.1);
    expect(bandAt(sheet, 2, bands)).toBeUndefined();
  });
});
