import { describe, expect, it } from 'vitest';
import type { CableType, SheetText } from '../../api';
import { priceText, provenanceText, slipSentence, understoodSentence } from '../../words';
import { draftOf, namesakeOfOtherImpedance, numberIn, requestOf, troublesIn } from './editor/draft';
import { isFound, sorted } from './table';

function type(over: Partial<CableType> = {}): CableType {
  return {
    key: 'foam-10',
    builtIn: true,
    revision: 3,
    revisedAt: '2026-11-01T00:00:00Z',
    name: 'Foam 10',
    family: 'low-loss 50 Ω',
    provenance: 'TYPICAL',
    impedanceOhm: 50,
    velocityFactor: 0.85,
    balanced: false,
    outerDiameterMm: 10.3,
    massGPerM: 101,
    bendRadiusOnceMm: 25,
    bendRadiusRepeatedMm: 102,
    jacket: 'PE',
    centreConductor: 'solid',
    shield: 'foil+braid',
    dielectric: 'foam PE',
    minInstallC: -30,
    minOperatingC: -40,
    maxOperatingC: 85,
    directBurial: true,
    sunResistant: true,
    flexing: 'FIXED',
    peakVoltageV: 1250,
    averagePowerW: 3200,
    ratedAtMHz: 30,
    ratedAtC: 40,
    pricePerM: 3.6,
    priceCurrency: 'EUR',
    priceIsSample: true,
    pricedOn: '2026-11-01',
    soldInM: null,
    sourceTitle: null,
    sourceDate: null,
    mechanicsProvenance: 'TYPICAL',
    withinPercent: null,
    ratingsProvenance: 'TYPICAL',
    note: null,
    points: [
      { frequencyMHz: 100, attenuationDbPer100m: 4.1 },
      { frequencyMHz: 1000, attenuationDbPer100m: 14 },
    ],
    fit: { k1: 0.4, k2: 0.001, worstRelativeResidual: 0.01 },
    floorK1: 0.26,
    floorBore: { mm: 6.7, known: 'USUAL_OF_BRAIDED' },
    shieldBoreMm: null,
    copperCladSteel: false,
    followsPoints: false,
    wetTimes: null,
    tooGoodToBeTrue: false,
    retired: false,
    favourite: false,
    ...over,
  };
}

describe('a draft', () => {
  it.each([
    ['impedanceOhm', '75 ohm', 75, '75 V'],
    ['velocityFactor', '0,66', 0.66, '0.66 m'],
    ['outerDiameterMm', '0.4 in', 10.16, '10 W'],
    ['massGPerM', '98 g', 98, '98 m'],
    ['bendRadiusOnceMm', '5 cm', 50, '50 g'],
    ['bendRadiusRepeatedMm', '100', 100, '100 V'],
    ['minInstallC', '14 °F', -10, '-10 m'],
    ['minOperatingC', '-40', -40, '-40 W'],
    ['maxOperatingC', '85 °C', 85, '85 mm'],
    ['peakVoltageV', '500 V', 500, '500 ohm'],
    ['averagePowerW', '1k5', 1500, '1500 V'],
    ['ratedAtMHz', '0.03 GHz', 30, '30 W'],
    ['ratedAtC', '40', 40, '40 ohm'],
    ['pricePerM', '3.048 per ft', 10, '3 kg'],
    ['soldInM', '100 ft', 30.48, '100 W'],
  ] as const)('reads %s in the units of its field', (name, typed, value, foreign) => {
    const draft = draftOf(type(), 'EUR');
    const of = (text: string) =>
      numberIn({ ...draft, numbers: { ...draft.numbers, [name]: text } }, name);
    expect(of(typed)).toBeCloseTo(value, 9);
    expect(of(foreign)).toMatch(/is not understood/);
    expect(of('')).toBeNull();
  });

  it('of a type says again what the type says', () => {
    const { points } = type();
    const again = requestOf(draftOf(type(), 'GBP'), points, 3);
    expect(again).toMatchObject({
      name: 'Foam 10',
      impedanceOhm: 50,
      massGPerM: 101,
      minInstallC: -30,
      averagePowerW: 3200,
      ratedAtC: 40,
      pricePerM: 3.6,
      priceCurrency: 'EUR',
      sunResistant: true,
      flexing: 'FIXED',
      revision: 3,
      points,
    });
    expect(again.sourceTitle).toBeUndefined();
  });

  it('reads numbers as people type them, a price by the foot too', () => {
    const draft = draftOf(null, 'EUR');
    const typed = (name: Parameters<typeof numberIn>[1], text: string) =>
      numberIn({ ...draft, numbers: { ...draft.numbers, [name]: text } }, name);
    expect(typed('outerDiameterMm', '0,4 in')).toBe(10.16);
    expect(typed('massGPerM', '101')).toBe(101);
    expect(typed('massGPerM', '0.1 kg')).toBe(100);
    expect(typed('pricePerM', '0.9144 / ft')).toBe(3);
    expect(typed('pricePerM', '3 per m')).toBe(3);
    expect(typed('ratedAtMHz', '1 GHz')).toBe(1000);
    expect(typed('maxOperatingC', '185 °F')).toBe(85);
    expect(typed('velocityFactor', '84')).toContain('in percent');
    expect(typed('soldInM', 'a reel')).toContain('not understood');
    expect(typed('soldInM', ' ')).toBeNull();
  });

  it('tells what it lacks, and a 75 Ω namesake', () => {
    const draft = draftOf(null, 'EUR');
    expect(Object.keys(troublesIn(draft))).toEqual(['name', 'velocityFactor']);
    const rg59 = type({ key: 'rg-59', name: 'RG-59', impedanceOhm: 75 });
    expect(namesakeOfOtherImpedance({ ...draft, name: 'RG 59 B/U' }, [rg59])).toBe(rg59);
    expect(namesakeOfOtherImpedance({ ...draft, name: 'RG-213' }, [rg59])).toBeNull();
  });
});

describe('the table', () => {
  const thin = type({ key: 'thin', name: 'Thin 2', pricePerM: null, outerDiameterMm: 2 });
  const thick = type({ key: 'thick', name: 'Thick 15', pricePerM: 9, outerDiameterMm: 15 });

  it('is ordered by a column, what is not known last, favourites first without one', () => {
    const keys = (types: CableType[]) => types.map((t) => t.key);
    expect(keys(sorted([thick, thin], 'outerDiameterMm', false, () => null))).toEqual([
      'thin',
      'thick',
    ]);
    expect(keys(sorted([thin, thick], 'pricePerM', true, () => null))).toEqual(['thick', 'thin']);
    expect(keys(sorted([thin, thick], 'pricePerM', false, () => null))).toEqual(['thick', 'thin']);
    expect(keys(sorted([thin, { ...thick, favourite: true }], null, false, () => null))).toEqual([
      'thick',
      'thin',
    ]);
    const losses = new Map([
      ['thin', 20],
      ['thick', 3],
    ]);
    expect(keys(sorted([thin, thick], 'loss', false, (key) => losses.get(key) ?? null))).toEqual([
      'thick',
      'thin',
    ]);
  });

  it('is filtered by words of any fact', () => {
    expect(isFound(type(), 'foam pe')).toBe(true);
    expect(isFound(type(), '50 Ω low')).toBe(true);
    expect(isFound(type(), '75 Ω')).toBe(false);
  });
});

describe('what is said of a type', () => {
  it('names where figures come from, and how it is sold', () => {
    expect(
      provenanceText(
        type({ provenance: 'SHEET', sourceTitle: 'the sheet', sourceDate: '2026-05-01' }),
      ),
    ).toBe('from a data sheet: the sheet, 2026-05-01');
    expect(priceText(type({ soldInM: 25 }), 'm')).toBe(
      '3.6 EUR per m, sold in lengths of 25 m, 2026-11-01, a sample',
    );
    expect(priceText(type({ pricePerM: null }), 'm')).toBe('not known');
  });

  it('tells what was understood of a table and what may be wrong with it', () => {
    const read: SheetText = {
      rows: [{ line: 2, frequencyMHz: 145, attenuationDbPer100m: 1.6, relativeResidual: 0.1 }],
      skipped: [],
      understood: {
        separator: 'semicolons',
        decimalComma: true,
        hasHeader: true,
        columns: ['dB/100 ft'],
        lying: false,
        lossColumn: 2,
        frequencyUnit: 'MHZ',
        lossPer: 'PER_100_FT',
      },
      findings: [],
      fit: { k1: 0.1, k2: 0, worstRelativeResidual: 0.1 },
    };
    expect(understoodSentence(read)).toBe(
      '1 row: MHz and dB per 100 ft, columns apart by semicolons, decimal commas, a header.',
    );
    const slip = (name: SheetText['findings'][number]['slip'], number: number) =>
      slipSentence({ slip: name, row: 0, number }, read).replaceAll('\u00a0', ' ');
    expect(slip('FAR_OFF_THE_FIT', 0.1)).toContain(
      'At 145 MHz the curve through the other rows lies 10 % above it',
    );
    expect(slip('TOO_GOOD_TO_BE_TRUE', 3.2)).toContain('at least 3.2 dB/100 m');
    expect(slip('FALLING', 4)).toContain('than at the frequency before (4.0 dB)');
    expect(slip('PER_100_FT', 3)).toContain('Is this per 100 ft?');
    expect(slip('COLUMNS_SWAPPED', 1.7)).toContain('columns swapped');
  });
});
