import { describe, expect, it } from 'vitest';
import { chanceText, sureSentence } from './sure';

const plainly = (text: string) => text.replaceAll('\u00a0', ' ');

describe('how sure a run is, in words', () => {
  it('is told in twentieths, and never as certain', () => {
    expect(plainly(chanceText(0.949))).toBe('19 in 20 runs like this would do all that is asked.');
    expect(chanceText(0.99)).toContain('Nearly every run');
    expect(chanceText(0.01)).toContain('Hardly any run');
  });

  it('names the largest doubt with what knowing it would bring', () => {
    expect(plainly(sureSentence('2 m', 'ANGLE', '31 W to 36 W', '33 W to 35 W'))).toBe(
      'On 2 m most of what is not known is the angle of the antenna’s SWR: known exactly, 31 W to 36 W would be 33 W to 35 W.',
    );
    expect(plainly(sureSentence('2 m', 'LENGTH', '33 W to 34 W', '33 W to 34 W'))).toContain(
      'it changes little: 33 W to 34 W',
    );
  });
});
