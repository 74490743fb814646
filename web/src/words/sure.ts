/** Sentences about how sure a run is, and what it would bring to know more. */

import { tied } from '../units';

/** What nobody knows exactly, and how it comes to be known better. */
export const INPUT_WORDS = {
  CABLE: { what: 'what this cable really loses', how: 'a test on the bench tells' },
  JOINTS: { what: 'what its joints lose', how: 'count them, and test the run with them' },
  SWR: { what: 'the SWR of the antenna', how: 'read it again at the antenna' },
  ANGLE: { what: 'the angle of the antenna’s SWR', how: 'an antenna analyser tells' },
  LENGTH: { what: 'how long it is', how: 'measure it' },
  AMBIENT: { what: 'how warm the day is', how: 'nothing to be done about it' },
} as const;

const OUT_OF = 20;

/** A chance in twentieths, since nobody thinks in hundredths. */
export function chanceText(chance: number): string {
  const passing = Math.round(chance * OUT_OF);
  if (passing === OUT_OF) return `Nearly every run like this would do all that is asked.`;
  if (passing === 0) return `Hardly any run like this would do all that is asked.`;
  return tied(`${passing} in ${OUT_OF} runs like this would do all that is asked.`);
}

/** What most of the doubt is, and what knowing it would leave of it. */
export function sureSentence(
  band: string,
  largest: keyof typeof INPUT_WORDS,
  now: string,
  then: string,
): string {
  const { what } = INPUT_WORDS[largest];
  return now === then
    ? tied(`On ${band} most of what is not known is ${what}, and it changes little: ${now}.`)
    : tied(
        `On ${band} most of what is not known is ${what}: known exactly, ${now} would be ${then}.`,
      );
}
