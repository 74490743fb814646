/** What the bench says: verdicts, likely causes, the next test that would tell. */

import type { BenchAnalysis, BenchFigure, BenchNotes, BenchOutcome, Schemas } from '../api';
import { fixed, frequencyText, lengthText, tied } from '../units';
import type { LengthUnit } from '../units';
import { benchFindingText } from './benchFindings';

type Cause = BenchAnalysis['causes'][number];

export const METHOD_WORDS: Record<BenchNotes['method'], { name: string; what: string }> = {
  WATTMETER: { name: 'Wattmeter', what: 'a radio, a wattmeter and a dummy load' },
  THROUGH_SWEEP: { name: 'Sweep through', what: 'an analyser at both ends' },
  ONE_END_SWEEP: {
    name: 'Sweep from one end',
    what: 'an analyser at one end, the far one open, then shorted',
  },
  LOSSES: { name: 'Losses as read', what: 'losses that another instrument has told' },
};

export const OUTCOME_WORDS: Record<BenchOutcome, string> = {
  AS_THE_SHEET: 'as the sheet',
  WORSE: 'worse',
  BETTER_THAN_IT_CAN_BE: 'too good',
  CANNOT_TELL: 'cannot tell',
};

/** The verdict whose shape and colour an outcome takes; where nothing can be told, none. */
export const OUTCOME_VERDICT = {
  AS_THE_SHEET: 'PASS',
  WORSE: 'FAIL',
  BETTER_THAN_IT_CAN_BE: 'MARGINAL',
  CANNOT_TELL: null,
} as const;

const CAUSES: Record<Cause['kind'], (cause: Cause) => string> = {
  JOINTS_NOT_ENTERED: () => 'Likely joints that were in it and not entered.',
  CONTACT: (c) =>
    `Likely a resistive joint or contact: about ${fixed(c.amount, 1)} dB on every band alike.`,
  PROPORTIONAL: (c) =>
    `Likely another length or another cable than its label says: ${fixed(100 * c.amount, 0)} % more on every band.`,
  CONDUCTOR: () =>
    'Likely the conductor or the shield: the excess grows with the root of the frequency.',
  DIELECTRIC: () => 'Likely water, or a spoilt dielectric: the excess grows with the frequency.',
  BUMP: () =>
    'Likely a connector or a bump of impedance: the excess grows with the square of the frequency.',
  RIPPLE: (c) =>
    `Likely a mismatch inside: the loss goes up and down by ${fixed(c.amount, 1)} dB over the sweep.`,
};

/** What a rival is called among others. */
const CAUSE_NAMES: Record<Cause['kind'], string> = {
  JOINTS_NOT_ENTERED: 'joints that were not entered',
  CONTACT: 'a resistive joint or contact',
  PROPORTIONAL: 'another length or another type',
  CONDUCTOR: 'the conductor or the shield',
  DIELECTRIC: 'water, or a spoilt dielectric',
  BUMP: 'a connector or a bump of impedance',
  RIPPLE: 'a mismatch inside',
};

/** Which reading parts rivals: the first of them that is among them speaks. */
const PARTED_BY: readonly [Cause['kind'], string][] = [
  ['JOINTS_NOT_ENTERED', 'Next: enter the joints that were in it, and their loss is taken off.'],
  [
    'PROPORTIONAL',
    'Next: measure its length with a tape and read the print on the jacket; with those sure, the rest is left.',
  ],
  [
    'CONTACT',
    'Next: read the lowest band that you have, and read it well: a contact loses as much there as anywhere, the cable hardly anything.',
  ],
  [
    'DIELECTRIC',
    'Next: read the highest band that you have: water and bumps show there, conductors less.',
  ],
];

const NEXT_TESTS: Record<Cause['kind'], string> = {
  JOINTS_NOT_ENTERED: 'Next: enter the joints that were in it, and their loss is taken off.',
  CONTACT:
    'Next: clean and remake one end, measure, then the other; or turn the cable round and bend each plug while reading.',
  PROPORTIONAL:
    'Next: measure its length, and read the print on the jacket; a sweep tells the speed of a wave in it, and with it the dielectric.',
  CONDUCTOR:
    'Next: open an end and look at the braid, dark or loose; measure a second piece of the same drum.',
  DIELECTRIC:
    'Next: look for dark braid and a wet plug; dry it indoors for a week and measure again. Water that goes leaves a lower loss.',
  BUMP: 'Next: sweep from one end with the far end terminated, and see how far away the reflection lies.',
  RIPPLE:
    'Next: sweep from one end with the far end terminated, and see how far away the reflection lies.',
};

/** What a test says, sentence by sentence; the first is the verdict. */
export function benchSentences(
  analysis: BenchAnalysis,
  piece: string,
  type: string | null,
  nameOf: (key: string) => string,
): string[] {
  const it = piece.trim() || 'This cable';
  const { worst, outcome, causes } = analysis;
  if (!outcome || !worst) return [...changes(analysis), ...unjudged(analysis, it, nameOf)];
  const isAnother = analysis.findings.some((f) => f.code === 'OTHER_VELOCITY');
  const sentences = [
    ...changes(analysis),
    tied(verdict(outcome, worst, it, type ?? 'its type')),
    ...likeness(analysis, nameOf),
  ];
  if (isAnother) {
    sentences.push(
      'Likely another cable than its label says, or another length.',
      'Next: measure its length with a tape, and read the print on the jacket.',
    );
  } else if (causes.length > 0) {
    sentences.push(...causeSentences(causes));
  } else if (outcome === 'WORSE') {
    sentences.push(
      analysis.figures.length < 4
        ? 'From fewer than four bands no cause can be told. Next: read more bands, far apart.'
        : 'Its shape over frequency names no cause.',
    );
  }
  return sentences;
}

/** One cause with the next test, or the rivals with what parts them. */
function causeSentences(causes: readonly Cause[]): string[] {
  const [only] = causes;
  if (only && causes.length === 1) return [tied(CAUSES[only.kind](only)), NEXT_TESTS[only.kind]];
  const next = PARTED_BY.find(([kind]) => causes.some((c) => c.kind === kind));
  const names = orList(causes.map((c) => CAUSE_NAMES[c.kind]));
  const isTogether = causes.some((c) => c.share < 1);
  return [
    isTogether
      ? `No single cause fits; two of these together do: ${names}.`
      : `These readings leave more than one cause: ${names}.`,
    next?.[1] ?? 'Next: read more bands, far apart.',
  ];
}

function orList(names: readonly string[]): string {
  return names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join('; ')}; or ${names.at(-1)}`;
}

/** What lies inside is told before anything else. */
function changes(analysis: BenchAnalysis): string[] {
  return analysis.findings.filter((f) => f.code === 'CHANGE_INSIDE').map(benchFindingText);
}

function unjudged(analysis: BenchAnalysis, it: string, nameOf: (key: string) => string): string[] {
  const top = analysis.figures.at(-1);
  if (!top) return ['Nothing has been read yet.'];
  return [
    tied(`${it} loses ${fixed(top.lossDb, 2)} dB at ${frequencyText(top.frequencyMHz)}.`),
    ...likeness(analysis, nameOf),
  ];
}

function verdict(outcome: BenchOutcome, worst: BenchFigure, it: string, type: string): string {
  const at = frequencyText(worst.frequencyMHz);
  const loss = fixed(worst.lossDb, 2);
  const expected = fixed(worst.expectedDb ?? 0, 2);
  const excess = fixed(Math.abs(worst.excessDb ?? 0), 2);
  const share = fixed(Math.abs((worst.percentOfSheet ?? 100) - 100), 0);
  switch (outcome) {
    case 'AS_THE_SHEET':
      return `${it} is as ${type} promises: farthest off at ${at}, with ${loss} dB where ${expected} dB are expected.`;
    case 'WORSE':
      return `${it} loses ${excess} dB (${share} %) more than ${type} should at ${at}: ${loss} dB where ${expected} dB are expected.`;
    case 'CANNOT_TELL':
      return `It cannot be told whether ${it} is as ${type} promises: at ${at} it reads ${loss} dB, give or take ${fixed((worst.mostDb - worst.leastDb) / 2, 2)}, where ${expected} dB are expected.`;
    case 'BETTER_THAN_IT_CAN_BE':
      return `${it} loses ${excess} dB less than ${type} can at ${at}. That is better than it can be: check the length, the type and the baseline.`;
  }
}

function likeness(analysis: BenchAnalysis, nameOf: (key: string) => string): string[] {
  const fits = analysis.likeness.map((l) => `${nameOf(l.key)} (${fitText(l)})`);
  return fits.length === 0 ? [] : [tied(`It measures like ${orList(fits)}.`)];
}

/** How well a type fits by what was measured of it. */
function fitText(fit: BenchAnalysis['likeness'][number]): string {
  return [
    `loss within ${fixed(fit.lossPercent, 0)} %`,
    fit.velocityPercent !== null && `velocity factor within ${fixed(fit.velocityPercent, 1)} %`,
    fit.impedancePercent !== null && `impedance within ${fixed(fit.impedancePercent, 0)} %`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** The usual caution where the work meets it. */
export const BENCH_CAUTIONS: Record<BenchNotes['method'], string> = {
  WATTMETER:
    'Key down only as long as a reading takes, into a load that bears the power, and never without one. A dummy load gets hot. Your licence and local rules stand above this sheet.',
  THROUGH_SWEEP:
    'Take the radio off first: its power destroys an analyser. So does the charge on a long cable outdoors; short it before you connect, and stay away when there is thunder about.',
  ONE_END_SWEEP:
    'Take the radio off first: its power destroys an analyser. So does the charge on a long cable outdoors; short it before you connect, and stay away when there is thunder about.',
  LOSSES:
    'Whatever was measured: a radio is never keyed without a load, and an analyser never sees a transmitter.',
};

type Peak = Schemas['ReflectionPeakResponse'];

/** What a reflection is taken for. */
export const PEAK_WORDS: Record<Peak['kind'], string> = {
  END: 'end',
  JOINT: 'joint',
  ECHO: 'echo',
  CHANGE: 'something',
};

export const WINDOW_WORDS: Record<NonNullable<Schemas['DistanceRequest']['window']>, string> = {
  KAISER: 'Kaiser: weak beside strong',
  HANN: 'Hann',
  NONE: 'none: finest',
};

/** One reflection in words. */
export function peakSentence(peak: Peak, lengths: LengthUnit): string {
  const at = lengthText(Number(peak.distanceM.toFixed(1)), lengths);
  const size = `${fixed(100 * peak.reflection, 1)} % of the wave, ${fixed(peak.returnLossDb, 0)} dB down`;
  switch (peak.kind) {
    case 'END':
      return tied(`At ${at} it ends: ${size}.`);
    case 'JOINT':
      return tied(`At ${at} there is a joint: ${size}.`);
    case 'ECHO':
      return tied(
        `At ${at} lies an echo of what is at ${lengthText(Number((peak.echoOfM ?? 0).toFixed(1)), lengths)}, nothing of its own.`,
      );
    case 'CHANGE':
      return tied(
        `At ${at} something changes: ${size}. A kink, a crush, water, or a joint that nobody noted.`,
      );
  }
}

/** What is connected for a calibration, and what one presses when it is. */
export const STANDARD_WORDS: Record<
  Schemas['CalibrationRequest']['standard'],
  { what: string; done: string }
> = {
  OPEN: { what: 'Leave the end of the test lead open,', done: 'it is open' },
  SHORT: { what: 'put the short on the end of the test lead,', done: 'the short is on' },
  LOAD: { what: 'put the 50 Ω load on it,', done: 'the load is on' },
  THRU: {
    what: 'and join both test leads, or go on with one end only:',
    done: 'through, they are joined',
  },
  SAVE: { what: 'and', done: 'take the calibration' },
};

/** What a sweep is begun by, with how the cable is connected. */
export const CONNECTION_WORDS: Record<Schemas['SweepBeginRequest']['connection'], string> = {
  THROUGH: 'both ends are on: sweep',
  OPEN: 'far end open: sweep',
  SHORT: 'far end shorted: sweep',
  LOAD: 'far end on a load: sweep',
};
