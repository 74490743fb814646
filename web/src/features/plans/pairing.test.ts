import { describe, expect, it } from 'vitest';
import type { BandAssessment } from '../../api';
import { besideEachOther } from '../../words';
import { paired } from './pairing';

const band = (name: string, frequencyMHz: number, totalLossDb: number) =>
  ({ name, frequencyMHz, totalLossDb }) as BandAssessment;

describe('two plans side by side', () => {
  const a = [band('40 m', 7.1, 1), band('2 m', 145, 3), band('6 m', 50.1, 2)];
  const b = [band('2 metres', 144.3, 2), band('40 m', 7.05, 1.4), band('70 cm', 433, 5)];

  it('are paired by frequency, whatever the bands are called', () => {
    expect(paired(a, b).map((p) => [p.name, p.a?.totalLossDb, p.b?.totalLossDb])).toEqual([
      ['40 m', 1, 1.4],
      ['2 m', 3, 2],
      ['6 m', 2, undefined],
      ['70 cm', undefined, 5],
    ]);
  });

  it('are judged in a sentence', () => {
    expect(besideEachOther(paired(a, b))).toBe(
      'B brings more on 2\u00a0m (1.0\u00a0dB), A on 40\u00a0m (0.4\u00a0dB).',
    );
    expect(besideEachOther(paired(a.slice(0, 1), b.slice(0, 1)))).toBe(
      'The two plans have no band in common.',
    );
    expect(besideEachOther(paired(a, a))).toBe('Both bring the same on every band they share.');
  });
});
