import { describe, expect, it } from 'vitest';
import type { Ledger, Schemas } from '../../../api';
import { curvesOf, usualRows, valueOf } from './useSweep';

type Sweep = Schemas['SweepResponse'];
type Point = Schemas['CurvePointResponse'];

const POINT = {
  matchedLossDb: 2,
  totalLossDb: 3,
  powerAtAntennaW: 25,
  swrAtRadio: 1.2,
  swrAtAntenna: null,
} as Point;

describe('a point of a curve', () => {
  it('is what is drawn of it', () => {
    expect(valueOf(POINT, 'matched', 'watts')).toBe(2);
    expect(valueOf(POINT, 'arrives', 'watts')).toBe(25);
    expect(valueOf(POINT, 'arrives', 'dB')).toBeCloseTo(-3, 9);
    expect(valueOf(POINT, 'swrAtRadio', 'watts')).toBe(1.2);
  });

  it('is without limit where an SWR is, and no number where there is none', () => {
    expect(valueOf(POINT, 'swrAtAntenna', 'watts')).toBe(Infinity);
    expect(valueOf(null, 'matched', 'watts')).toBeNaN();
  });
});

describe('curves', () => {
  const sweep = {
    at: [100, 145, 433],
    bands: [0, 0, 1],
    rows: [{ id: 'a', name: 'Foam 10', points: [POINT, POINT, POINT] }],
  } as unknown as Sweep;
  const y = (p: Point | null) => p?.matchedLossDb ?? NaN;

  it('are broken where one band’s antenna ends and the next one’s begins', () => {
    const [curve] = curvesOf(sweep, 1, y);
    expect(curve?.label).toBe('Foam 10');
    expect(curve?.points.map((p) => p.x)).toEqual([100, 145, 433, 433]);
    expect(curve?.points.map((p) => Number.isNaN(p.y))).toEqual([false, false, true, false]);
  });

  it('are drawn in the units that are shown', () => {
    expect(curvesOf(sweep, 3.28, y)[0]?.points[0]?.x).toBeCloseTo(328, 9);
  });

  it('are none before there is an answer', () => {
    expect(curvesOf(undefined, 1, y)).toEqual([]);
  });
});

describe('the rows that are drawn at first', () => {
  const ledger = {
    presentRowId: 'rg-58',
    rows: [
      { id: 'rg-6', verdict: 'PASS', suitability: 'OTHER_IMPEDANCE' },
      { id: 'rg-58', verdict: 'FAIL', suitability: 'SUITED' },
      { id: 'foam-10', verdict: 'PASS', suitability: 'SUITED' },
    ],
  } as unknown as Ledger;

  it('are the one in the run and the first that passes, each once', () => {
    expect(usualRows(ledger, 'foam-5')).toEqual(['foam-5', 'rg-6']);
    expect(usualRows(ledger, 'rg-58')).toEqual(['rg-58', 'rg-6']);
    expect(usualRows(undefined, undefined)).toEqual([]);
  });
});
