import { describe, expect, it } from 'vitest';
import type { BenchAnalysis, BenchFigure } from '../api';
import { codeText } from './asked';
import { benchSentences, peakSentence } from './bench';
import { benchFindingText } from './benchFindings';
import { capital } from './capital';

type Finding = BenchAnalysis['findings'][number];

const FIGURE = {
  frequencyMHz: 145,
  lossDb: 4.2,
  expectedDb: 3.1,
  allowedDb: 0.4,
  excessDb: 1.1,
  percentOfSheet: 135.48,
  outcome: 'WORSE',
} as unknown as BenchFigure;

function analysis(change: object): BenchAnalysis {
  return {
    readings: [],
    figures: [FIGURE, FIGURE, FIGURE, FIGURE],
    line: null,
    outcome: 'WORSE',
    worst: FIGURE,
    causes: [],
    likeness: [],
    findings: [],
    ...change,
  } as unknown as BenchAnalysis;
}

/** Numbers stay with their units; for reading in a test that is in the way. */
const plainly = (text: string) => text.replaceAll('\u00a0', ' ');

const say = (change: object, type: string | null = 'RG-58') =>
  benchSentences(analysis(change), 'Quay 30', type, (key) => key.toUpperCase()).map(plainly);

const fit = (key: string) => ({
  key,
  lossPercent: 3.2,
  velocityPercent: 0.4,
  impedancePercent: null,
});

describe('what a test says', () => {
  it('is the verdict first, with what was found and what was expected', () => {
    expect(say({})[0]).toBe(
      'Quay 30 loses 1.10 dB (35 %) more than RG-58 should at 145 MHz: 4.20 dB where 3.10 dB are expected.',
    );
    expect(say({ outcome: 'AS_THE_SHEET' })[0]).toContain('is as RG-58 promises');
    expect(say({ outcome: 'BETTER_THAN_IT_CAN_BE' })[0]).toContain(
      'check the length, the type and the baseline',
    );
  });

  it('names a cause with its size, and the next test that would tell', () => {
    const [, cause, next] = say({ causes: [{ kind: 'CONTACT', share: 1, amount: 0.84 }] });
    expect(cause).toContain('about 0.8 dB on every band alike');
    expect(next).toMatch(/^Next: /);
  });

  it.each([
    'JOINTS_NOT_ENTERED',
    'CONTACT',
    'PROPORTIONAL',
    'CONDUCTOR',
    'DIELECTRIC',
    'BUMP',
    'RIPPLE',
  ])('has a sentence and a next step for %s', (kind) => {
    const sentences = say({ causes: [{ kind, share: 1, amount: 0.25 }] });
    expect(sentences).toHaveLength(3);
    expect(sentences[1]).toMatch(/^Likely /);
    expect(sentences[2]).toMatch(/^Next: /);
  });

  it('keeps rivals, with the reading that parts them', () => {
    const [, rivals, next] = say({
      causes: [
        { kind: 'CONDUCTOR', share: 1, amount: 1 },
        { kind: 'PROPORTIONAL', share: 1, amount: 0.2 },
      ],
    });
    expect(rivals).toBe(
      'These readings leave more than one cause: the conductor or the shield; or another length or another type.',
    );
    expect(next).toContain('with a tape');
    const together = say({
      causes: [
        { kind: 'CONTACT', share: 0.6, amount: 1 },
        { kind: 'DIELECTRIC', share: 0.4, amount: 2 },
      ],
    });
    expect(together[1]).toMatch(/^No single cause fits; two of these together do/);
  });

  it('says when it cannot tell, by how much it does not know', () => {
    const worst = { ...FIGURE, leastDb: 3.2, mostDb: 5.2, outcome: 'CANNOT_TELL' };
    expect(say({ outcome: 'CANNOT_TELL', worst })[0]).toBe(
      'It cannot be told whether Quay 30 is as RG-58 promises: at 145 MHz it reads 4.20 dB, give or take 1.00, where 3.10 dB are expected.',
    );
  });

  it('tells what lies inside before anything else', () => {
    const kink = { code: 'CHANGE_INSIDE', values: { distanceM: 11.24, returnLossDb: 14 } };
    expect(say({ outcome: 'AS_THE_SHEET', findings: [kink] })[0]).toMatch(
      /^Something changes 11.2 m in: it sends back a wave 14 dB down/,
    );
  });

  it('names no cause from a few bands, and says what would be enough', () => {
    expect(say({ figures: [FIGURE] }).at(-1)).toContain('fewer than four bands');
    expect(say({}).at(-1)).toContain('names no cause');
  });

  it('tells another cable before any cause', () => {
    const another = { code: 'OTHER_VELOCITY', values: {} };
    const sentences = say({ findings: [another], likeness: [fit('foam-10')] });
    expect(sentences[1]).toBe(
      'It measures like FOAM-10 (loss within 3 %, velocity factor within 0.4 %).',
    );
    expect(sentences[2]).toContain('another cable than its label says');
  });

  it('says what a piece of no known type measures like', () => {
    const sentences = say({ outcome: null, worst: null, likeness: [fit('a'), fit('b')] }, null);
    expect(sentences).toEqual([
      'Quay 30 loses 4.20 dB at 145 MHz.',
      'It measures like A (loss within 3 %, velocity factor within 0.4 %); or B (loss within 3 %, velocity factor within 0.4 %).',
    ]);
  });

  it('says that nothing was read', () => {
    expect(say({ outcome: null, worst: null, figures: [] })).toEqual([
      'Nothing has been read yet.',
    ]);
  });
});

describe('what one should know of a test', () => {
  const CODES: Record<string, object> = {
    THROUGH_ABOVE_BASELINE: { frequencyMHz: 14.2 },
    LEVELS_DISAGREE: { frequencyMHz: 14.2, oneDb: 1, otherDb: 1.5 },
    CONNECTORS_BELOW_NOTHING: { frequencyMHz: 145, connectorsDb: -0.2 },
    SHORT_AND_LOSSY: { excessDb: 0.5, lengthM: 1.5 },
    BAND_NOT_SWEPT: { frequenciesMHz: [145, 433], fromMHz: 1, toMHz: 100 },
    SWEEP_GAINS: { leastDb: -0.3 },
    MORE_OUT_THAN_IN: { times: 1.2 },
    RIPPLE_EVERYWHERE: { rippleDb: 0.9 },
    MISMATCH_COUNTS: { differenceDb: 0.2 },
    OTHER_VELOCITY: { measured: 0.82, promised: 0.66, lengthByTypeM: 16.1, statedM: 20 },
    OTHER_IMPEDANCE: { measuredOhm: 72.5, typeOhm: 50 },
    ESTIMATE: { missing: 'open' },
    ONE_PATH: {},
    CHANGE_INSIDE: { distanceM: 11.2, returnLossDb: 14 },
    JOINTS_RIPPLE: { heightDb: 0.4, apartMHz: 7.5 },
    NO_VELOCITY: { measured: 1.1, uncertainty: 0.01 },
    LENGTH_MAY_WRAP: { longestM: 120 },
    WOULD_TELL: { remedy: 'HIGHER_BAND', frequencyMHz: 145 },
    ZERO_LEFT_OUT: {},
    SORTED: {},
    NOT_CALIBRATED: {},
    LEAD_STAYED_IN: {},
    LEAD_TAKEN_OUT: { leadDb: 0.15, frequencyMHz: 145 },
  };
  const text = (code: string, values: object) =>
    plainly(benchFindingText({ code, values } as Finding));

  it.each(Object.entries(CODES))(
    'has its own sentence for %s, with its numbers',
    (code, values) => {
      const said = text(code, values);
      expect(said).not.toBe(`${capital(codeText(code))}.`);
      expect(said).toMatch(/^[A-Z].*[.?]$/s);
      expect(said).not.toMatch(/NaN|undefined|null/);
    },
  );

  it.each(['through', 'oneEnd', 'lead', 'type', 'length'])(
    'asks for the %s that is missing',
    (what) => {
      expect(text('MISSING', { what })).not.toBe('Missing.');
    },
  );

  it('shows gain as gain, and a band by its frequency', () => {
    expect(text('SWEEP_GAINS', { leastDb: -0.3 })).toContain('0.30 dB of gain');
    expect(text('BAND_NOT_SWEPT', { frequenciesMHz: [145, 433] })).toContain('145 MHz, 433 MHz');
  });

  it('tells why something cannot be, and what it does not know by its code', () => {
    expect(text('IMPOSSIBLE', { why: 'the steps are too coarse' })).toBe(
      'The steps are too coarse.',
    );
    expect(text('SOMETHING_NEW', {})).toBe('Something new.');
  });
});

describe('a reflection', () => {
  const peak = (kind: string, more = {}) =>
    ({
      distanceM: 11.26,
      reflection: 0.125,
      returnLossDb: 18.06,
      kind,
      echoOfM: null,
      ...more,
    }) as never;

  it('is where it is, and as large as it is', () => {
    expect(plainly(peakSentence(peak('END'), 'm'))).toBe(
      'At 11.3 m it ends: 12.5 % of the wave, 18 dB down.',
    );
    expect(plainly(peakSentence(peak('CHANGE'), 'm'))).toContain('A kink, a crush, water');
  });

  it('is nothing of its own where it is an echo', () => {
    expect(plainly(peakSentence(peak('ECHO', { echoOfM: 5.63 }), 'm'))).toContain(
      'an echo of what is at 5.6 m',
    );
  });

  it('is told in feet to who reads feet', () => {
    expect(plainly(peakSentence(peak('JOINT'), 'ft'))).toMatch(/^At 37.07 ft there is a joint/);
  });
});
