import { describe, expect, it } from 'vitest';
import type { FoundKit, Piece, PieceEvent } from '../api';
import {
  bestInText,
  endText,
  eventText,
  standingReason,
  testAgainText,
  trendSentence,
} from './locker';

const plainly = (text: string) => text.replaceAll('\u00a0', ' ');

describe('why a piece stands as it does', () => {
  const CODES: Piece['reasons'][number]['code'][] = [
    'RETIRED',
    'PAST_LIMIT',
    'WORSE_THAN_SHEET',
    'BETTER_THAN_CAN_BE',
    'NEVER_TESTED',
    'DUE_BY_AGE',
    'DUE_BY_OUTINGS',
    'DUE_BY_EXPOSURE',
    'DUE_BY_TREND',
    'BETTER_THAN_ITS_AGE',
  ];

  it.each(CODES)('has a sentence for %s', (code) => {
    const said = standingReason({ code, on: '2026-05-01', amount: 3 });
    expect(said).toMatch(/^[A-Z].*\.$/);
    expect(said).not.toMatch(/NaN|undefined|null/);
  });

  it('gives the number that decided it', () => {
    expect(standingReason({ code: 'PAST_LIMIT', on: null, amount: 0.456 })).toContain('0.46 dB');
    expect(standingReason({ code: 'DUE_BY_OUTINGS', on: '2026-05-01', amount: 12 })).toBe(
      'To be tested since 2026-05-01: 12 outings since its last test.',
    );
  });
});

describe('how a piece ages', () => {
  const piece = (change: object) => ({ trend: null, lastTestedOn: null, ...change }) as Piece;

  it('is not known without tests, and not from a few', () => {
    expect(trendSentence(piece({}))).toContain('Nothing is known');
    expect(trendSentence(piece({ lastTestedOn: '2026-05-01' }))).toContain('three are needed');
  });

  it('is told with how surely', () => {
    const trend = { percentPerYear: -1.25, least: null, most: null };
    expect(plainly(trendSentence(piece({ trend })))).toContain('−1.3 % of its sheet a year');
    expect(
      plainly(trendSentence(piece({ trend: { percentPerYear: 4, least: 2.5, most: 6.1 } }))),
    ).toContain('surely between 2.5 and 6.1 %');
  });

  it('ends in a day to test it again, where there is one', () => {
    expect(testAgainText(piece({ testAgainOn: '2027-01-01' }))).toBe('test again by 2027-01-01');
    expect(testAgainText(piece({ testAgainOn: null }))).toBeNull();
  });
});

describe('what happened to a piece', () => {
  const event = (kind: PieceEvent['kind'], change: Partial<PieceEvent> = {}) =>
    plainly(
      eventText(
        {
          kind,
          id: null,
          on: '2026-05-01',
          until: null,
          to: null,
          by: null,
          wet: false,
          frozen: false,
          trodden: false,
          lossDb: null,
          percentOfSheet: null,
          outcome: null,
          causes: [],
          lengthBeforeM: null,
          lengthAfterM: null,
          note: null,
          ...change,
        },
        'm',
      ),
    );

  it.each([
    ['BOUGHT', {}, 'bought'],
    ['ENTERED', {}, 'put into the locker'],
    ['OUTING', {}, 'out, and still is'],
    ['OUTING', { to: 'Seal Rock', until: '2026-05-01' }, 'out, Seal Rock'],
    [
      'OUTING',
      { until: '2026-05-03', wet: true, frozen: true },
      'out, till 2026-05-03; wet, frozen',
    ],
    ['TEST', {}, 'tested'],
    ['TEST', { lossDb: 2.345, percentOfSheet: 112.4 }, 'tested: 2.35 dB, 112 % of its sheet'],
    ['REPAIR', { note: 'new plug' }, 'mended: new plug'],
    ['NEW_END', { lengthBeforeM: 31, lengthAfterM: 30.8 }, 'new end: 31 m became 30.8 m'],
    ['RETIRED', { note: 'water' }, 'retired: water'],
    ['BACK_IN_SERVICE', {}, 'used again'],
  ] as const)('%s with %j reads %j', (kind, change, said) => {
    expect(event(kind, change)).toBe(said);
  });
});

describe('an end, and a kit', () => {
  it('is a connector and its gender, or not known', () => {
    expect(endText({ connectorKey: 'n', gender: 'PLUG' }, (k) => k.toUpperCase())).toBe('N plug');
    expect(endText(null, (k) => k)).toBe('not known');
  });

  it('is best in something, and says when that is not sure', () => {
    const kit = (bestIn: string[], provenIn: string[]) => ({ bestIn, provenIn }) as FoundKit;
    expect(bestInText(kit(['LEAST_LOSS'], ['LEAST_LOSS']))).toBe('least loss');
    expect(bestInText(kit(['LEAST_LOSS', 'LEAST_MASS'], ['LEAST_LOSS']))).toBe(
      'least loss, lightest, as far as was found',
    );
    const all = ['LEAST_LOSS', 'FEWEST_JOINTS', 'LEAST_MASS', 'LEAST_LEFT_OVER'];
    expect(bestInText(kit(all, all))).toBe('best in everything');
  });
});
