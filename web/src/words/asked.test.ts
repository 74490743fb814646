import { describe, expect, it } from 'vitest';
import type { Reason } from '../api';
import {
  ASKED_TERMS,
  ASKED_WORDS,
  askedPhrase,
  askedText,
  difference,
  powerDifference,
  reasonClause,
  reasonText,
} from './asked';
import type { Kind } from './asked';
import { GLOSSARY } from './glossary';

const KINDS = Object.keys(ASKED_WORDS) as Kind[];

function reason(
  code: string,
  kind: Kind | null,
  asked: number | null = null,
  reached: number | null = null,
): Reason {
  return {
    code,
    verdict: 'FAIL',
    band: 0,
    bandId: null,
    requirement: null,
    element: null,
    elementId: null,
    values: { kind, asked, reached, currency: 'EUR' },
  };
}

describe('what is asked', () => {
  it.each([
    ['LEAST_POWER', 70, 'at least 70 W at the antenna'],
    ['LEAST_POWER', 0.25, 'at least 250 mW at the antenna'],
    ['LEAST_PERCENT', 62.5, 'at least 62.5 % arrives'],
    ['MOST_LOSS', 1.5, 'no more than 1.5 dB lost'],
    ['MOST_S_UNITS', 0.5, 'no more than 0.5 S-units lost'],
    ['MOST_RECEIVE_PENALTY', 1, 'no more than 1 dB lost on receive'],
    ['LEAST_POWER_MARGIN', 2, 'heat borne 2 times over'],
    ['LEAST_VOLTAGE_MARGIN', 1.5, 'voltage borne 1.5 times over'],
    ['BUDGET', 120, 'for 120 EUR at most'],
    ['MOST_MASS', 4, 'no heavier than 4 kg in all'],
    ['MOST_MASS_ON_MAST', 2.5, 'no heavier than 2.5 kg on the mast'],
    ['DUCT_BORE', 20, 'through a bore of 20 mm'],
    ['BEND_ONCE', 50, 'bent once to 50 mm'],
    ['BEND_REPEATED', 100, 'bent again and again to 100 mm'],
    ['COLDEST_UNROLLING', -15, 'unrolled at −15 °C'],
  ] as const)('%s of %d is “%s”', (kind, value, phrase) => {
    expect(askedPhrase(kind, value, 'EUR')).toBe(phrase);
  });

  it.each([
    ['SUN', 'bears the sun'],
    ['WATER', 'bears the wet'],
    ['BURIAL', 'lies in the ground'],
    ['REPEATED_FLEXING', 'moves again and again'],
    ['IMPEDANCE', 'of the station’s impedance'],
    ['CONNECTORS', 'fits its connectors'],
    ['WITHIN_GAIN', 'no more lost than the antenna gains'],
  ] as const)('%s is a sentence without a number', (kind, phrase) => {
    expect(askedPhrase(kind, null)).toBe(phrase);
  });

  it('has a name of its own for every kind', () => {
    const names = KINDS.map((k) => ASKED_WORDS[k].name);
    expect(new Set(names).size).toBe(KINDS.length);
    expect(names.every((n) => n.length > 0)).toBe(true);
  });

  it('is explained by words that the glossary has', () => {
    const known = new Set(GLOSSARY.map((entry) => entry.id));
    Object.values(ASKED_TERMS).forEach((term) => expect(known).toContain(term));
  });

  it('has no number where the kind has none', () => {
    expect(askedText('SUN', 1)).toBe('');
  });
});

describe('what is missed', () => {
  it.each([
    ['LEAST_PERCENT', 50, 41, '9 % short of 50 % on 2 m'],
    ['LEAST_PERCENT', 50, 1, '1.0 % where 50 % is asked, on 2 m'],
    ['MOST_LOSS', 1, 2.6, '1.6 dB over 1 dB on 2 m'],
    ['LEAST_VOLTAGE_MARGIN', 2, 1.2, 'bears its voltage 1.2 times, not 2 on 2 m'],
    ['BUDGET', 100, 140, '40 EUR over the budget on 2 m'],
    ['MOST_MASS', 2, 3.5, '1.5 kg over 2 kg on 2 m'],
    ['MOST_MASS_ON_MAST', 1, 1.25, '0.3 kg over 1 kg on the mast on 2 m'],
    ['DUCT_BORE', 10, 15.5, '15.5 mm across, too thick for a bore of 10 mm on 2 m'],
    ['BEND_ONCE', 30, 50, 'bends once to 50 mm, not to 30 mm on 2 m'],
    ['BEND_REPEATED', 30, 75, 'bends again and again to 75 mm, not to 30 mm on 2 m'],
    ['COLDEST_UNROLLING', -20, -5, 'not to be unrolled below −5 °C on 2 m'],
    ['SUN', null, null, 'its jacket does not bear the sun on 2 m'],
    ['WATER', null, null, 'its jacket does not keep the wet out on 2 m'],
    ['BURIAL', null, null, 'not made to lie in the ground on 2 m'],
    ['REPEATED_FLEXING', null, null, 'not made to be moved again and again on 2 m'],
    ['IMPEDANCE', null, null, 'not of the station’s impedance on 2 m'],
    ['CONNECTORS', null, null, 'its connectors do not fit it, or not the sockets on 2 m'],
  ] as const)('of %s', (kind, asked, reached, text) => {
    expect(reasonText(reason('MISSED', kind, asked, reached), '2 m')).toBe(text);
  });

  it('belongs to no band where none is named', () => {
    expect(reasonText(reason('MISSED', 'BUDGET', 100, 140), '')).toBe('40 EUR over the budget');
  });

  it('only if the angle, or the cable, is a bad one', () => {
    expect(reasonText(reason('MISSED_AT_WORST_ANGLE', 'LEAST_POWER', 20, 19), '2 m')).toBe(
      "19 W on 2 m if the antenna's SWR falls badly; you asked for 20 W",
    );
    expect(reasonText(reason('MISSED_AT_TOLERANCE', 'MOST_LOSS', 2, 2.1), '2 m')).toBe(
      '2.10 dB on 2 m if the cable is as bad as its tolerance allows; you asked for 2 dB',
    );
  });

  it('by a run that cannot be assessed, and beyond a data sheet', () => {
    expect(reasonText(reason('TOO_LOSSY', null, null, 612.4), '23 cm')).toBe(
      'loses 612 dB on 23 cm, too much to be assessed',
    );
    expect(reasonText(reason('EXTRAPOLATED', null), '23 cm')).toBe(
      'a part is above what it is made for on 23 cm: an extrapolation',
    );
  });

  it('is told by its code where nobody knows it here', () => {
    expect(reasonText(reason('NEW_CODE', 'SUN'), '')).toBe('new code');
    expect(reasonText(reason('MISSED', null), '')).toBe('missed');
  });
});

describe('what is only just met', () => {
  it.each([
    ['LEAST_POWER', 20.5, 'only just: 20.5 W on 2 m'],
    ['LEAST_PERCENT', 51, 'only just: 51.0 % on 2 m'],
    ['MOST_LOSS', 0.98, 'only just: 0.98 dB on 2 m'],
    ['MOST_S_UNITS', 0.48, 'only just: 0.48 S-units on 2 m'],
    ['WITHIN_GAIN', -0.05, 'only just: 0.05 dB less lost than the antenna gains on 2 m'],
    ['LEAST_POWER_MARGIN', 1.04, 'only just: its heat is borne 1.0 times over on 2 m'],
    ['LEAST_VOLTAGE_MARGIN', 1.1, 'only just: its voltage is borne 1.1 times over on 2 m'],
    ['MOST_RECEIVE_PENALTY', 0.95, 'only just: 0.95 dB on receive on 2 m'],
    ['BUDGET', 98, 'only just: costs 98 EUR on 2 m'],
    ['DUCT_BORE', 9.8, 'only just: 9.8 mm across on 2 m'],
    ['BEND_ONCE', 49, 'only just: bends once to 49 mm on 2 m'],
    ['BEND_REPEATED', 99, 'only just: bends again and again to 99 mm on 2 m'],
    ['MOST_MASS', 3.9, 'only just: weighs 3.9 kg on 2 m'],
    ['MOST_MASS_ON_MAST', 0.9, 'only just: weighs 0.9 kg on 2 m'],
    ['COLDEST_UNROLLING', -15, 'only just: −15 °C on 2 m'],
  ] as const)('%s', (kind, reached, text) => {
    expect(reasonText(reason('LITTLE_TO_SPARE', kind, 1, reached), '2 m')).toBe(text);
  });
});

describe('what is not known', () => {
  it.each(KINDS)('is named for %s', (kind) => {
    const text = reasonText(reason('UNKNOWN', kind), '');
    expect(text).toMatch(/^(its|the|how|whether|a figure) ?.* is not known$/);
  });

  it('is the price of a budget, and the diameter of a duct', () => {
    expect(reasonText(reason('UNKNOWN', 'BUDGET'), '')).toBe('its price is not known');
    expect(reasonText(reason('UNKNOWN', 'DUCT_BORE'), '')).toBe('its diameter is not known');
  });
});

describe('the second half of a sentence', () => {
  it.each([
    [reason('MISSED', 'LEAST_POWER', 20, 16), 'it is 4 W short of 20 W on 2 m'],
    [reason('MISSED', 'MOST_LOSS', 1, 2.6), 'it is 1.6 dB over 1 dB on 2 m'],
    [reason('MISSED', 'LEAST_POWER', 20, 0.2), 'it brings 200 mW where 20 W is asked, on 2 m'],
    [reason('MISSED', 'SUN'), 'its jacket does not bear the sun on 2 m'],
    [reason('UNKNOWN', 'SUN'), 'whether it bears the sun is not known on 2 m'],
  ])('goes on from what was asked', (because, clause) => {
    expect(reasonClause(because, '2 m')).toBe(clause);
  });
});

describe('a shortfall', () => {
  it.each([
    [17.4, '17'],
    [1.96, '2'],
    [1.94, '1.9'],
    [0.62, '0.6'],
    [0.04, '0.040'],
  ])('of %d needs no more digits than %s', (value, text) => {
    expect(difference(value)).toBe(text);
  });

  it('of little power is in milliwatts', () => {
    expect(powerDifference(0.02)).toBe('20 mW');
    expect(powerDifference(0.06)).toBe('0.060 W');
    expect(powerDifference(4.4)).toBe('4 W');
  });
});

describe('what nobody asked and counts all the same', () => {
  const cable = { name: 'RG-174', isCable: true };
  const joint = { name: 'UHF', isCable: false };
  it.each([
    ['TOO_HOT', null, 0.08, cable, 'RG-174 would be heated 12.5 times the rating on 2 m'],
    ['TOO_HOT', null, 0, cable, 'RG-174 would be heated endlessly more than the rating on 2 m'],
    ['TOO_HIGH_VOLTAGE', 1, 0.5, joint, 'UHF would stand 2.0 times the rated voltage on 2 m'],
    [
      'NEARLY_TOO_HOT',
      1,
      1.2,
      cable,
      'only just: the heat in RG-174 is borne 1.2 times over on 2 m',
    ],
    [
      'NEARLY_TOO_HIGH_VOLTAGE',
      1,
      1.2,
      joint,
      'only just: the voltage on UHF is borne 1.2 times over on 2 m',
    ],
    ['BEYOND_MATCHING_UNIT', 3, 4.2, joint, 'SWR 4.2 on 2 m, and the matching unit copes with 3'],
    [
      'BEYOND_ASSUMED_MATCHING_UNIT',
      3,
      4.2,
      joint,
      'SWR 4.2 on 2 m, and the matching unit is assumed to cope with 3',
    ],
    [
      'BEYOND_MATCHING_UNIT_AT_WORST_ANGLE',
      3,
      3.2,
      joint,
      'SWR up to 3.2 on 2 m if the antenna’s SWR falls badly, and the matching unit copes with 3',
    ],
    ['EXTRAPOLATED', null, 435, joint, 'UHF is above what it is made for on 2 m: an extrapolation'],
    ['EXTRAPOLATED', null, 435, cable, 'beyond the data sheet of RG-174 on 2 m: an extrapolation'],
    [
      'BALANCED_MEETS_UNBALANCED',
      null,
      450,
      cable,
      'a balanced line: it needs a transformer or a balanced matching unit',
    ],
  ] as const)('%s is told with its part and its number', (code, asked, reached, part, text) => {
    expect(reasonText(reason(code, null, asked, reached), '2 m', part)).toBe(text);
  });

  it('is told by its code where it is new', () => {
    expect(reasonText(reason('OF_A_LATER_DAY', null), '2 m')).toBe('of a later day');
  });
});
