/** What one should know of a bench test besides its verdict, and where its uncertainty comes from. */

import type { BenchAnalysis, BenchFigure } from '../api';
import { fixed, frequencyText, plain, tied } from '../units';
import { codeText } from './asked';
import { capital } from './capital';

type Finding = BenchAnalysis['findings'][number];

const REMEDIES: Record<string, string> = {
  BASELINE_AGAIN: 'read the baseline once more after the reading through the cable',
  MORE_POWER: 'use more power, or a smaller range, so that the last digit counts for less',
  STEADY_READING: 'read each power several times, until it stands still',
  ALIKE_LEVELS: 'use more power through the cable, so that both readings are alike',
  ENTER_JOINTS: 'enter the joints that were in it',
  BOTH_ENDS: 'sweep with the far end open and with it shorted, both',
  QUIETER_SWEEP: 'sweep with a narrower bandwidth, or average',
};

const MISSING: Record<string, string> = {
  through: 'A sweep from one end to the other is wanted, a file that ends in .s2p.',
  oneEnd:
    'A sweep of one end is wanted (.s1p), with the far end open, and another with it shorted.',
  lead: 'What does the lead of the baseline lose? Say its type and length, or its dB.',
  type: 'Say which type it is, and its losses are held against what that promises.',
  length: 'Say how long it is, and its losses are held against what its type promises.',
};

/** What the operator should know, with its number. */
export function benchFindingText(finding: Finding): string {
  const value = (name: string) => Number(finding.values[name] ?? 0);
  switch (finding.code) {
    case 'MISSING':
      return MISSING[String(finding.values.what)] ?? `${capital(codeText(finding.code))}.`;
    case 'THROUGH_ABOVE_BASELINE':
      return tied(
        `At ${frequencyText(value('frequencyMHz'))} more came through the cable than without it. Something changed between the two: the power, the range of the meter, or a plug.`,
      );
    case 'LEVELS_DISAGREE':
      return tied(
        `Two readings at ${frequencyText(value('frequencyMHz'))} give ${fixed(value('oneDb'), 2)} and ${fixed(value('otherDb'), 2)} dB, farther apart than they may be wrong. A contact that warms up loses more at high power; or the meter reads its ranges differently.`,
      );
    case 'CONNECTORS_BELOW_NOTHING':
      return tied(
        `At ${frequencyText(value('frequencyMHz'))} the connectors would gain ${fixed(-value('connectorsDb'), 2)} dB: the longer piece loses too little for its length. Are they of one type?`,
      );
    case 'SHORT_AND_LOSSY':
      return tied(
        `So short a piece hardly loses anything in the cable: the ${fixed(value('excessDb'), 1)} dB are in a connector, or in the calibration.`,
      );
    case 'BAND_NOT_SWEPT':
      return tied(
        `The sweep goes from ${frequencyText(value('fromMHz'))} to ${frequencyText(value('toMHz'))}, so it says nothing at ${(finding.values.frequenciesMHz as unknown as number[]).map((f) => frequencyText(f)).join(', ')}.`,
      );
    case 'CHANGE_INSIDE':
      return tied(
        `Something changes ${fixed(value('distanceM'), 1)} m in: it sends back a wave ${fixed(value('returnLossDb'), 0)} dB down. A kink, a crush, water, or a joint that nobody noted.`,
      );
    case 'JOINTS_RIPPLE':
      return tied(
        `The curve ripples by some ${fixed(value('heightDb'), 1)} dB every ${fixed(value('apartMHz'), 1)} MHz: that is what its joints reflect from both ends, and no fault of the cable.`,
      );
    case 'ONE_PATH':
      return 'The sweep was measured from one side only. The cable is taken to be the same from both.';
    case 'NO_VELOCITY':
      return tied(
        value('measured') > 1
          ? `The phase would make a wave faster than light (${fixed(value('measured'), 2)}): the length is not what it is said to be, or the steps are too coarse.`
          : `So short a piece tells no velocity factor: it would be known to ${fixed(100 * value('uncertainty'), 0)} % only.`,
      );
    case 'LENGTH_MAY_WRAP':
      return tied(
        `Say how long it is: a piece longer than ${fixed(value('longestM'), 0)} m would look like a shorter one with these steps.`,
      );
    case 'WOULD_TELL':
      return finding.values.remedy === undefined || String(finding.values.remedy) === 'HIGHER_BAND'
        ? tied(
            `What would tell: a reading at ${frequencyText(value('frequencyMHz'))} or above, where it loses more.`,
          )
        : `What would tell: ${REMEDIES[String(finding.values.remedy)] ?? 'another reading'}.`;
    case 'ZERO_LEFT_OUT':
      return 'The file has a point at 0 Hz, where there is no wave; it is left out.';
    case 'SORTED':
      return 'The points of the file were out of order; they are sorted by frequency.';
    case 'NOT_CALIBRATED':
      return 'The analyser was not calibrated when this was swept: take its losses for what they may be worth.';
    case 'SWEEP_GAINS':
      return tied(
        `It shows ${fixed(-value('leastDb'), 2)} dB of gain, and a cable has none: calibrate at the ends of the test leads, and sweep again.`,
      );
    case 'MORE_OUT_THAN_IN':
      return 'More comes out of the ports than goes in: the calibration does not belong to this set-up.';
    case 'RIPPLE_EVERYWHERE':
      return tied(
        `The loss wavers by ${fixed(value('rippleDb'), 1)} dB over the whole sweep: no calibration, or a loose plug while sweeping.`,
      );
    case 'MISMATCH_COUNTS':
      return tied(
        `What comes through differs from the matched loss by up to ${fixed(value('differenceDb'), 2)} dB, since something in it does not match the analyser. The matched loss is the one that is judged.`,
      );
    case 'OTHER_VELOCITY':
      return tied(
        `A wave is in it at ${fixed(value('measured'), 3)} of light’s speed, where its type has ${plain(value('promised'), 3)}: another cable, or ${fixed(value('lengthByTypeM'), 1)} m long rather than ${plain(value('statedM'), 2)} m.`,
      );
    case 'OTHER_IMPEDANCE':
      return tied(
        `It has ${fixed(value('measuredOhm'), 0)} Ω, where its type has ${plain(value('typeOhm'), 1)} Ω.`,
      );
    case 'ESTIMATE':
      return `An estimate, from one look. A second sweep with the far end ${String(finding.values.missing)} makes it a measurement.`;
    case 'LEAD_STAYED_IN':
      return 'The lead stayed in for both readings, so it weakens both alike and nothing is added.';
    case 'LEAD_TAKEN_OUT':
      return tied(
        `The baseline was read through a lead that was then taken out, so what it loses is added to the cable: ${fixed(value('leadDb'), 2)} dB at ${frequencyText(value('frequencyMHz'))}.`,
      );
    default:
      return `${capital(String(finding.values.why ?? codeText(finding.code)))}.`;
  }
}

type UncertaintySource = BenchFigure['uncertainty']['terms'][number]['source'];

/** Where an uncertainty comes from, and what makes it smaller. */
export const UNCERTAINTY_WORDS: Record<UncertaintySource, { what: string; remedy: string }> = {
  RESOLUTION: { what: 'the last digit', remedy: 'a finer scale, or more power' },
  FLICKER: { what: 'a reading that flickers', remedy: 'wait until it stands still' },
  REPEATABILITY: { what: 'repeating the same reading', remedy: 'read it several times' },
  DRIFT: {
    what: 'drift of the radio between the two readings',
    remedy: 'read the baseline once more after: then it is known, not guessed',
  },
  METER_CLASS: {
    what: 'class of the meter between two levels',
    remedy: 'more power through the cable, so that both readings are alike',
  },
  MISMATCH: { what: 'what radio, cable and load reflect', remedy: 'a better load' },
  JOINTS_NOT_ENTERED: { what: 'joints that were not entered', remedy: 'enter them' },
  LEVELS: { what: 'other powers read otherwise', remedy: 'find out why they differ' },
  SCATTER: {
    what: 'bands that do not lie on one curve',
    remedy: 'read the baseline again after each band',
  },
  AS_READ: { what: 'a figure read from a screen', remedy: 'more digits' },
  CONNECTING: { what: 'connecting the analyser', remedy: 'connect again and compare' },
  CALIBRATION: { what: 'calibration of the analyser', remedy: 'calibrate again' },
  NOISE: { what: 'noise of the trace', remedy: 'a narrower bandwidth, or averaging' },
  ESTIMATE: { what: 'one look instead of two', remedy: 'open and shorted both' },
  RIPPLE: { what: 'what joints at both ends reflect', remedy: 'joints of constant impedance' },
};
