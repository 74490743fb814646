import { describe, expect, it } from 'vitest';
import {
  chanceText,
  doubtText,
  shortChance,
  sureSentence,
  surerSentence,
  verdictByChance,
} from './sure';

const plainly = (text: string) => text.replaceAll('\u00a0', ' ');

const ANGLE = { input: 'ANGLE', standardDb: 0.4 } as const;
const CABLE = { input: 'CABLE', standardDb: 0.2 } as const;
const LENGTH = { input: 'LENGTH', standardDb: 0.02 } as const;

describe('how sure a run is, in words', () => {
  it('is told in twentieths, and never as certain', () => {
    expect(plainly(chanceText(19))).toBe('19 in 20 runs like this would pass.');
    expect(chanceText(20)).toBe('Nearly every run like this would pass.');
    expect(chanceText(0)).toBe('Hardly any run like this would pass.');
    expect([20, 0, 13].map(shortChance)).toEqual(['nearly all', 'hardly any', '13 in 20']);
  });

  it('explains what is marginal where that is why', () => {
    expect(plainly(verdictByChance(13, true))).toBe(
      'Marginal, because of what nobody knows exactly: 13 in 20 runs like this would pass.',
    );
    expect(verdictByChance(20, false)).toBe('Nearly every run like this would pass.');
  });

  it('names the largest doubt with what knowing it would bring and change, and the next', () => {
    expect(plainly(sureSentence('2 m', [ANGLE, CABLE], '31 W to 36 W', '33 W to 35 W', true))).toBe(
      'On 2 m most of what is not known is the angle of the antenna’s SWR: known exactly, 31 W to 36 W would be 33 W to 35 W. That could turn the verdict. What this cable really loses matters about half as much.',
    );
    expect(plainly(sureSentence('2 m', [ANGLE], '31 W to 36 W', '33 W to 35 W', false))).toContain(
      'It would not turn the verdict.',
    );
  });

  it('does not make much of what matters little', () => {
    const sentence = sureSentence('2 m', [ANGLE, LENGTH], '33 W to 34 W', '33 W to 34 W', false);
    expect(plainly(sentence)).toContain('it changes little: 33 W to 34 W');
    expect(sentence).not.toContain('how long it is matters');
  });

  it('says what more certainty costs', () => {
    expect(
      plainly(
        surerSentence(
          { name: 'Foam 6', passing: 14 },
          { name: 'Foam 10', passing: 20 },
          6,
          '34 EUR',
        ),
      ),
    ).toBe('Foam 6 passes in 14 of 20, Foam 10 in all: 6 more of 20 for 34 EUR.');
  });

  it('tells a standard deviation, and none that is nothing', () => {
    expect(plainly(doubtText(0.2) ?? '')).toBe('± 0.20 dB');
    expect(doubtText(0.004)).toBeNull();
  });
});
