import { describe, expect, it } from 'vitest';
import type { BandAssessment } from '../../../api';
import { heatOf, shortConnector } from './elements';
import { boundsOf } from './useProfile';

describe('a figure along the run', () => {
  it.each([
    [12, { min: 12, max: 12 }],
    [
      { min: 3, max: 9 },
      { min: 3, max: 9 },
    ],
    [
      { min: 3, max: null },
      { min: 3, max: Infinity },
    ],
    [null, { min: Infinity, max: Infinity }],
  ])('%j is between %j', (figure, bounds) => {
    expect(boundsOf(figure)).toEqual(bounds);
  });
});

describe('what becomes heat in an element', () => {
  const assessment = {
    elements: [
      { powerInW: 50, powerOutW: 48.5 },
      { powerInW: null, powerOutW: null },
      { powerInW: 10, powerOutW: null },
    ],
  } as unknown as BandAssessment;

  it('is what goes in and does not come out', () => {
    expect(heatOf(assessment, 0)).toBe(1.5);
  });

  it('is not known for a receiver, an element that is not there, or before an answer', () => {
    expect(heatOf(assessment, 1)).toBeNull();
    expect(heatOf(assessment, 2)).toBeNull();
    expect(heatOf(assessment, 7)).toBeNull();
    expect(heatOf(undefined, 0)).toBeNull();
  });
});

it('a connector is short without what stands in brackets', () => {
  expect(shortConnector('UHF (PL-259, silvered)')).toBe('UHF');
  expect(shortConnector('N')).toBe('N');
});
