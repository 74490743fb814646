import { describe, expect, it } from 'vitest';
import type { Reason, Row } from '../api';
import { besideTheOthers, brings, nearSentence, reasonText, receiveSentence, rowSummary } from '.';

function reason(
  code: string,
  kind: Reason['values']['kind'],
  asked: number | null,
  reached: number,
): Reason {
  return {
    code,
    verdict: 'FAIL',
    band: 0,
    bandId: null,
    values: { kind, asked, reached },
    text: 'as the server says',
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
    cost: { amount: 100, currency: 'EUR', sample: true },
    mass: null,
    reach: [],
    cells: [],
    ...over,
  };
}

const costing = (amount: number) => ({ amount, currency: 'EUR', sample: true });

describe('a reason', () => {
  it.each([
    [reason('MISSED', 'LEAST_POWER', 70, 61), '9 W short of 70 W on 2 m'],
    [reason('MISSED', 'LEAST_POWER', 70, 69.4), '0.6 W short of 70 W on 2 m'],
    [reason('MISSED', 'LEAST_POWER', 70, 0.01), '10 mW where 70 W is asked, on 2 m'],
    [reason('MISSED', 'LEAST_PERCENT', 50, 46.5), '4 % short of 50 % on 2 m'],
    [reason('MISSED', 'MOST_LOSS', 3, 4.25), '1.3 dB over 3 dB on 2 m'],
    [reason('LITTLE_TO_SPARE', 'LEAST_POWER', 20, 20.8), 'only just: 20.8 W on 2 m'],
    [reason('EXTRAPOLATED', null, null, 2400), 'beyond a data sheet on 2 m: an extrapolation'],
    [reason('TOO_LOSSY', null, null, 305.2), 'loses 305 dB on 2 m, too much to be assessed'],
    [reason('SOMETHING_NEW', 'LEAST_POWER', 1, 1), 'as the server says'],
  ])('carries its number: %#', (given, text) => {
    expect(reasonText(given, '2 m')).toBe(text);
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
    expect(rowSummary(row('a', { leastSpareDb: null }), true, 'LEAST_COST', [])).toBe(
      'nothing asked',
    );
  });
});

describe('beside the others', () => {
  const dear = row('Dear', { cost: costing(300) });
  const cheap = row('Cheap', { cost: costing(50) });
  const barely = row('Barely', { cost: costing(40), verdict: 'MARGINAL' });
  const failing = row('Thin', { cost: costing(10), verdict: 'FAIL' });
  const balanced = row('Open', { cost: costing(5), suitability: 'BALANCED' });

  it.each([
    [cheap, [cheap, dear, failing, balanced], 'Nothing cheaper passes.'],
    [dear, [cheap, dear, barely], 'Cheap costs less and passes too.'],
    [
      cheap,
      [cheap, barely],
      'Nothing cheaper surely passes; Barely costs less and passes only just.',
    ],
    [failing, [cheap, failing], 'Cheap would pass, at the least cost of those that do.'],
    [
      failing,
      [failing],
      'No cable passes: shorten the run, ask for less, or put up more antenna gain.',
    ],
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
  });
});
