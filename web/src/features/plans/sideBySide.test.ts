import { describe, expect, it } from 'vitest';
import { besideEachOther } from '../../words';
import { addressOf, entriesOf, sharedBands, sideBySideCsv } from './sideBySide';
import type { InRun } from './sideBySide';

function inRun(cable: string, bands: [name: string, MHz: number, lossDb: number | null][]): InRun {
  return {
    planId: cable,
    site: 'Skarra',
    name: `with ${cable}`,
    row: {
      name: cable,
      verdict: 'PASS',
      cost: { amount: 20, currency: 'EUR', sample: true, samples: [] },
      mass: null,
      cells: bands.map(() => ({ verdict: 'MARGINAL' })),
    },
    assessment: {
      radio: { powerW: 100 },
      bands: bands.map(([name, frequencyMHz]) => ({ name, frequencyMHz })),
    },
    bands: bands.map(([, , lossDb]) =>
      lossDb === null ? null : { totalLossDb: lossDb, powerAtAntennaW: 50, swrAtRadio: null },
    ),
  } as unknown as InRun;
}

const a = inRun('RG-58', [
  ['40 m', 7.1, 1],
  ['2 m', 145, 3],
]);
const b = inRun('Foam 10', [
  ['two', 144.3, 2],
  ['70 cm', 433, null],
]);

describe('what stands side by side', () => {
  it('is kept by the address, rows of one plan too', () => {
    const entries = [
      { planId: 'p1', rowId: null },
      { planId: 'p1', rowId: 'rg-58+foam-10' },
    ];
    const address = addressOf(entries, 1, '2 m');
    expect(entriesOf(new URLSearchParams(address))).toEqual(entries);
    expect(new URLSearchParams(address).get('base')).toBe('1');
    expect(new URLSearchParams(address).get('band')).toBe('2 m');
  });

  it('is what a link of an earlier version names, and no more than six', () => {
    expect(entriesOf(new URLSearchParams('a=p1&b=p2')).map((e) => e.planId)).toEqual(['p1', 'p2']);
    const seven = new URLSearchParams(Array.from({ length: 7 }, (_, i) => ['p', `${i}`]));
    expect(entriesOf(seven)).toHaveLength(6);
  });

  it('shares its bands by frequency, whatever they are called', () => {
    const bands = sharedBands([a, b]);
    expect(
      bands.map((band) => [band.name, ...band.of.map((of) => of?.assessment?.totalLossDb)]),
    ).toEqual([
      ['40 m', 1, undefined],
      ['2 m', 3, 2],
      ['70 cm', undefined, undefined],
    ]);
    expect(bands[2]?.of[1]?.assessment).toBeNull();
    expect(bands[0]?.of[1]).toBeNull();
  });

  it('is told in sentences, each against the one that it is read against', () => {
    const bands = sharedBands([a, b]);
    expect(besideEachOther(bands, 0)).toEqual(['B brings 1.0\u00a0dB more than A on 2\u00a0m.']);
    expect(besideEachOther(bands, 1)).toEqual(['A brings 1.0\u00a0dB less than B on 2\u00a0m.']);
    expect(besideEachOther(sharedBands([a, a]), 0)).toEqual([
      'B brings the same as A on every band they share.',
    ]);
    expect(besideEachOther(sharedBands([a, inRun('x', [['6 m', 50, 1]])]), 0)).toEqual([
      'B has no band in common with A.',
    ]);
  });

  it('is saved with everything that is shown', () => {
    const csv = sideBySideCsv([a, b], sharedBands([a, b])).split('\r\n');
    expect(csv[0]).toContain('2 m total_loss_db');
    expect(csv[2]).toBe(
      'with Foam 10,Skarra,Foam 10,passes,20,EUR,,,,,,2,50,,marginal,,,,marginal',
    );
  });
});
