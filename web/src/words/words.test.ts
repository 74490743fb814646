import { describe, expect, it } from 'vitest';
import type { Reason, Row } from '../api';
import {
  besideTheOthers,
  brings,
  loosened,
  nearSentence,
  reasonText,
  receiveSentence,
  relaxationSentence,
  rowSummary,
} from '.';

function reason(
  code: string,
  kind: Reason['values']['kind'],
  asked: number | null,
  reached: number | null,
  band: number | null = 0,
): Reason {
  return {
    code,
    verdict: 'FAIL',
    band,
    bandId: null,
    requirement: null,
    element: null,
    elementId: null,
    values: { kind, asked, reached, currency: kind === 'BUDGET' ? 'EUR' : null },
  };
}

function row(name: string, over: Partial<Row> = {}): Row {
  return {
    id: name,
    name,
    assignment: [],
    suitability: 'SUITED',
    verdict: 'PASS',
    reasons: [],
    leastSpareDb: 1.25,
    cost: { amount: 100, currency: 'EUR', sample: true, samples: [] },
    notInCost: [],
    decidingBand: 0,
    mass: null,
    reach: [],
    reachOfRun: null,
    chance: null,
    passing: null,
    marginalByChance: false,
    middle: [],
    surer: null,
    tolerance: { percent: 10, provenance: 'TYPICAL', ofItself: false },
    cells: [],
    ...over,
  };
}

const costing = (amount: number) => ({ amount, currency: 'EUR', sample: true, samples: [] });

describe('a reason', () => {
  it.each([
    [reason('MISSED', 'LEAST_POWER', 70, 61), '61 W arrive on 2 m, 70 W asked'],
    [reason('MISSED', 'LEAST_POWER', 70, 69.4), '69.4 W arrive on 2 m, 70 W asked'],
    [reason('MISSED', 'LEAST_POWER', 70, 0.01), '10 mW arrive on 2 m, 70 W asked'],
    [reason('MISSED', 'MOST_S_UNITS', 0.5, 0.8), '0.80 S-units lost on 2 m, 0.5 S-units allowed'],
    [reason('MISSED', 'WITHIN_GAIN', 0, 1.2), 'loses 1.20 dB more than the antenna gains on 2 m'],
    [
      reason('MISSED', 'MOST_RECEIVE_PENALTY', 1, 1.5),
      '1.50 dB lost on receive on 2 m, 1 dB allowed',
    ],
    [
      reason('MISSED', 'LEAST_POWER_MARGIN', 1, 0.7),
      'its heat is borne 0.70 times over on 2 m, 1 asked',
    ],
    [reason('UNKNOWN', 'LEAST_POWER_MARGIN', 1, null), 'the power it bears is not known on 2 m'],
    [
      reason('MISSED_AT_TOLERANCE', 'LEAST_POWER', 70, 68),
      '68 W on 2 m if the cable is as bad as its tolerance allows, 70 W asked',
    ],
    [reason('MISSED', 'LEAST_PERCENT', 50, 46.5), '46.5 % arrives on 2 m, 50 % asked'],
    [reason('MISSED', 'MOST_LOSS', 3, 4.25), '4.25 dB lost on 2 m, 3 dB allowed'],
    [reason('LITTLE_TO_SPARE', 'LEAST_POWER', 20, 20.8), 'only just: 20.8 W on 2 m'],
    [
      reason('EXTRAPOLATED', null, null, 2400),
      'a part is above what it is made for on 2 m: an extrapolation',
    ],
    [reason('TOO_LOSSY', null, null, 305.2), 'loses 305 dB on 2 m, too much to be assessed'],
    [reason('SOMETHING_NEW', 'LEAST_POWER', 1, 1), 'something new'],
  ])('carries its number: %#', (given, text) => {
    expect(reasonText(given, '2 m')).toBe(text);
  });
});

describe('a reason of the run as a whole', () => {
  it.each([
    [reason('MISSED', 'BUDGET', 100, 130, null), 'costs 130 EUR, the budget is 100 EUR'],
    [reason('LITTLE_TO_SPARE', 'BUDGET', 100, 98, null), 'only just: costs 98 EUR'],
    [reason('UNKNOWN', 'BUDGET', 100, null, null), 'its price is not known'],
    [
      reason('MISSED', 'MOST_MASS_ON_MAST', 2, 2.4, null),
      'weighs 2.4 kg on the mast, 2 kg allowed',
    ],
    [reason('MISSED', 'DUCT_BORE', 8, 10.3, null), '10.3 mm across, the bore is 8 mm'],
    [
      reason('MISSED', 'BEND_REPEATED', 50, 105, null),
      'bends again and again to 105 mm, 50 mm asked',
    ],
    [
      reason('MISSED', 'COLDEST_UNROLLING', -25, -10, null),
      'not to be unrolled below −10 °C, −25 °C asked',
    ],
    [reason('MISSED', 'SUN', null, null, null), 'its jacket does not bear the sun'],
    [
      reason('MISSED', 'CONNECTORS', null, null, null),
      'its connectors do not fit it, or not the sockets',
    ],
  ])('%#', (given, text) => {
    expect(reasonText(given, '')).toBe(text);
  });
});

describe('what to ask less of', () => {
  it('says a number that is really enough', () => {
    expect(loosened(62.37, true)).toBe(62.3);
    expect(loosened(108.02, false)).toBe(109);
    expect(loosened(-10, false)).toBe(-10);
    const way = {
      rowId: 'foam-10',
      name: 'Foam 10',
      eased: [
        { requirement: 0, kind: 'LEAST_POWER' as const, asked: 70, to: 62.37 },
        { requirement: 1, kind: 'SUN' as const, asked: null, to: null },
      ],
    };
    expect(relaxationSentence(way, 'EUR').replaceAll('\u00a0', ' ')).toBe(
      'Ask for 62.3 W instead of 70 W and give up “bears the sun”, and Foam 10 gets through.',
    );
  });
});

describe('the heading of the note', () => {
  const level = { lossDb: 1.08, watts: 78 };

  it('follows the reading', () => {
    expect(brings('Foam 10', level, 'watts', 100, '2 m')).toBe(
      'Foam 10 brings 78.0 of your 100 W to the antenna on 2 m.',
    );
    expect(brings('Foam 10', level, 'dB', 100, '2 m')).toBe('Foam 10 costs 1.08 dB on 2 m.');
    expect(brings('Foam 10', level, 'S', 100, '2 m')).toBe('Foam 10 costs 0.18 S-units on 2 m.');
  });
});

describe('the end of a row', () => {
  it('says that it passes, and by how much', () => {
    expect(rowSummary(row('a'), false, 'LEAST_COST', [])).toBe('passes, 1.3 dB to spare');
    expect(rowSummary(row('a'), true, 'LEAST_COST', [])).toBe('passes; least cost that does');
    expect(rowSummary(row('a', { leastSpareDb: null }), false, 'LEAST_COST', [])).toBe('passes');
  });
});

describe('beside the others', () => {
  const dear = row('Dear', { cost: costing(300) });
  const cheap = row('Cheap', { cost: costing(50) });
  const barely = row('Barely', { cost: costing(40), verdict: 'MARGINAL' });
  const failing = row('Thin', { cost: costing(10), verdict: 'FAIL' });
  const balanced = row('Open', { cost: costing(5), suitability: 'BALANCED', verdict: 'FAIL' });

  it.each([
    [cheap, [cheap, dear, failing, balanced], 'Nothing cheaper passes.'],
    [dear, [cheap, dear, barely], 'Cheap costs less and passes too.'],
    [
      cheap,
      [cheap, barely],
      'Nothing cheaper surely passes; Barely costs less and passes only just.',
    ],
    [failing, [cheap, failing], 'Cheap would pass, at the least cost of those that do.'],
    [failing, [failing], 'No cable passes.'],
    [row('Own', { cost: null }), [cheap], 'Its price is not known.'],
  ])('%#', (chosen, rows, sentence) => {
    expect(besideTheOthers(chosen, rows, 'LEAST_COST')).toBe(sentence);
  });
});

describe('on receive', () => {
  it('nobody is made to buy thick cable for 80 m', () => {
    expect(receiveSentence('80 m', 3, 0.02)).toBe(
      'On receive the 3.0 dB of loss cost next to nothing on 80 m: noise from outside drowns the receiver’s own, and a thicker cable brings nothing.',
    );
    expect(receiveSentence('80 m', 0.2, 0)).toBe('On receive the run hardly counts on 80 m.');
  });

  it('loss under a quiet sky costs more than it is', () => {
    expect(receiveSentence('70 cm', 3, 3.86)).toBe(
      'On receive the 3.0 dB of loss cost 3.9 dB of signal over noise on 70 cm, more than they are: the noise outside is low.',
    );
    expect(receiveSentence('2 m', 3, 2)).toBe(
      'On receive the 3.0 dB of loss cost 2.0 dB of signal over noise on 2 m.',
    );
    expect(receiveSentence('2 m', 3, -1.2)).toContain('the preamplifier brings 1.2 dB more');
  });
});

describe('near the antenna', () => {
  it('says how far to keep away, and where that cannot be said', () => {
    expect(nearSentence('650 W', '4.2 m', false)).toContain('keep people about 4.2 m from');
    expect(nearSentence('650 W', null, false)).toContain('say nothing of this frequency');
    expect(nearSentence('650 W', '0.4 m', true)).toContain('far-field estimate does not hold');
    expect(nearSentence(null, null, false)).toContain('nobody has said its gain');
  });
});
