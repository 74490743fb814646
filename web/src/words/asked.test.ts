import { describe, expect, it } from 'vitest';
import type { Reason } from '../api';
import { ASKED_TERMS, ASKED_WORDS, askedPhrase, askedText, reasonText } from './asked';
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
    ['LEAST_POWER_MARGIN', 2, 'heat borne at least 2 times'],
    ['LEAST_VOLTAGE_MARGIN', 1.5, 'voltage borne at least 1.5 times'],
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
    ['LEAST_PERCENT', 50, 41, '41.0 % arrives on 2 m, 50 % asked'],
    ['LEAST_PERCENT', 50, 1, '1.0 % arrives on 2 m, 50 % asked'],
    ['MOST_LOSS', 1, 2.6, '2.60 dB lost on 2 m, 1 dB allowed'],
    ['LEAST_VOLTAGE_MARGIN', 2, 1.2, 'its voltage is borne 1.2 times over on 2 m, 2 asked'],
    ['BUDGET', 100, 140, 'costs 140 EUR, the budget is 100 EUR'],
    ['MOST_MASS', 2, 3.5, 'weighs 3.5 kg, 2 kg allowed'],
    ['MOST_MASS_ON_MAST', 1, 1.25, 'weighs 1.25 kg on the mast, 1 kg allowed'],
    ['DUCT_BORE', 10, 15.5, '15.5 mm across, the bore is 10 mm'],
    ['BEND_ONCE', 30, 50, 'bends once to 50 mm, 30 mm asked'],
    ['BEND_REPEATED', 30, 75, 'bends again and again to 75 mm, 30 mm asked'],
    ['COLDEST_UNROLLING', -20, -5, 'not to be unrolled below −5 °C, −20 °C asked'],
    ['SUN', null, null, 'its jacket does not bear the sun'],
    ['WATER', null, null, 'its jacket does not keep the wet out'],
    ['BURIAL', null, null, 'not made to lie in the ground'],
    ['REPEATED_FLEXING', null, null, 'not made to be moved again and again'],
    ['IMPEDANCE', null, null, 'not of the station’s impedance'],
    ['CONNECTORS', null, null, 'its connectors do not fit it, or not the sockets'],
  ] as const)('of %s', (kind, asked, reached, text) => {
    expect(reasonText(reason('MISSED', kind, asked, reached), '2 m')).toBe(text);
  });

  it('belongs to no band where none is named', () => {
    expect(reasonText(reason('MISSED', 'BUDGET', 100, 140), '')).toBe(
      'costs 140 EUR, the budget is 100 EUR',
    );
  });

  it('only if the angle, or the cable, is a bad one', () => {
    expect(reasonText(reason('MISSED_AT_WORST_ANGLE', 'LEAST_POWER', 20, 19), '2 m')).toBe(
      "19 W on 2 m if the antenna's SWR falls badly, 20 W asked",
    );
    expect(reasonText(reason('MISSED_AT_TOLERANCE', 'MOST_LOSS', 2, 2.1), '2 m')).toBe(
      '2.10 dB on 2 m if the cable is as bad as its tolerance allows, 2 dB asked',
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
    ['MOST_MASS_ON_MAST', 0.9, 'only just: weighs 900 g on 2 m'],
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
