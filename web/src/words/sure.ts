/** Sentences about how sure a run is, and what it would bring to know more. */

import { fixed, tied } from '../units';
import { capital } from './capital';

/** What nobody knows exactly, and how it comes to be known better. */
export const INPUT_WORDS = {
  CABLE: { what: 'what this cable really loses', how: 'a test on the bench tells' },
  JOINTS: { what: 'what its joints lose', how: 'count them, and test the run with them' },
  SWR: { what: 'the SWR of the antenna', how: 'read it again at the antenna' },
  ANGLE: { what: 'the angle of the antenna’s SWR', how: 'an antenna analyser tells' },
  LENGTH: { what: 'how long it is', how: 'measure it' },
  AMBIENT: { what: 'how warm the day is', how: 'nothing to be done about it' },
} as const;

export type Input = keyof typeof INPUT_WORDS;

/** A chance is told as so many of these, since nobody thinks in hundredths; the core counts them. */
export const OUT_OF = 20;

/** How many of twenty runs like it would pass. */
export function chanceText(passing: number): string {
  return capital(`${howMany(passing)} like this would pass.`);
}

function howMany(passing: number): string {
  if (passing === OUT_OF) return 'nearly every run';
  return passing === 0 ? 'hardly any run' : tied(`${passing} in ${OUT_OF} runs`);
}

/** The same where there is little room. */
export function shortChance(passing: number): string {
  return passing === 0
    ? 'hardly any'
    : passing === OUT_OF
      ? 'nearly all'
      : `${passing} in ${OUT_OF}`;
}

/** What a verdict comes to with all that nobody knows exactly, and why it is marginal where that is why. */
export function verdictByChance(passing: number, isMarginalByChance: boolean): string {
  return isMarginalByChance
    ? `Marginal, because of what nobody knows exactly: ${howMany(passing)} like this would pass.`
    : chanceText(passing);
}

/** What is not known, and the standard deviation of the loss by it alone. */
export interface Doubt {
  input: Input;
  standardDb: number;
}

/**
 * What most of the doubt is, what knowing it would leave of it, and what that would change.
 *
 * @param doubts the largest first, at least one
 * @param now between what the figure lies
 * @param then between what it would lie, with the largest doubt gone
 * @param decides whether the largest doubt alone could turn the verdict
 */
export function sureSentence(
  band: string,
  doubts: readonly Doubt[],
  now: string,
  then: string,
  decides: boolean,
): string {
  const [first, second] = doubts;
  if (!first) return '';
  const { what } = INPUT_WORDS[first.input];
  const largest =
    now === then
      ? `On ${band} most of what is not known is ${what}, and it changes little: ${now}.`
      : `On ${band} most of what is not known is ${what}: known exactly, ${now} would be ${then}. ${
          decides ? 'That could turn the verdict.' : 'It would not turn the verdict.'
        }`;
  return tied(second ? `${largest} ${asMuch(first, second)}` : largest);
}

function asMuch(first: Doubt, second: Doubt): string {
  const times = second.standardDb / first.standardDb;
  const much =
    times > 0.8 ? 'nearly as much' : times > 0.4 ? 'about half as much' : times > 0.1 ? 'less' : '';
  return much === '' ? '' : `${capital(INPUT_WORDS[second.input].what)} matters ${much}.`;
}

/** How a cable stands in certainty. */
export interface Sure {
  name: string;
  /** Of twenty. */
  passing: number;
}

function inTwenty(passing: number): string {
  if (passing === OUT_OF) return 'in all';
  return passing === 0 ? 'in none' : `in ${passing} of ${OUT_OF}`;
}

/**
 * What it costs to be surer than with another cable.
 *
 * @param more of twenty
 */
export function surerSentence(from: Sure, to: Sure, more: number, price: string): string {
  return tied(
    `${from.name} passes ${inTwenty(from.passing)}, ${to.name} ${inTwenty(to.passing)}: ${more} more of ${OUT_OF} for ${price}.`,
  );
}

/** A standard deviation of a loss; null where it is nothing to speak of. */
export function doubtText(standardDb: number): string | null {
  return standardDb < 0.005 ? null : `± ${fixed(standardDb, 2)} dB`;
}
