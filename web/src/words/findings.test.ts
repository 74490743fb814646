import { describe, expect, it } from 'vitest';
import type { BandAssessment } from '../api';
import {
  agoText,
  capital,
  findingText,
  otherWeatherSentence,
  readThroughSentence,
  saveWords,
  sentences,
  swrAtBothEnds,
  unknownRatings,
  whereItGoes,
} from './index';

const plainly = (text: string) => text.replaceAll('\u00a0', ' ');

describe('a finding of the run', () => {
  const text = (code: string, values: object) =>
    findingText(
      { code, values, severity: 'CAUTION', elementId: null, bandId: null } as never,
      'Window line',
    );

  it.each([
    ['BEYOND_MATCHING_UNIT', { swr: 4.89, limit: 3 }, 'An SWR of 4.9 is beyond the 3'],
    ['RADIO_SEES_SWR', { swr: 2.5, limit: 2 }, 'reduce their power above 2'],
    ['NO_LOAD', {}, 'An SWR without limit is as good as no load'],
    ['BALANCED_INTO_RADIO', {}, 'Window line is a balanced line'],
    ['NEEDS_BALANCED_UNIT', {}, 'must be a balanced one'],
    ['BALANCED_MEETS_COAX', {}, 'through a transformer'],
    ['OTHER_IMPEDANCE', { impedanceOhm: 75, stationOhm: 50 }, '75 Ω in a 50 Ω station'],
    ['PIECE_OF_OTHER_LENGTH', { piece: 'Quay 30', lengthM: 29.8, inRunM: 30 }, 'Quay 30 is 29.8 m'],
    ['REFLECTS_AT_RADIO', {}, 'still reflects there'],
    ['COPPER_CLAD_STEEL', {}, 'centre of copper-clad steel'],
    ['TRANSFORMER_ESTIMATED', { lossDb: 1.42 }, 'loses 1.4 dB at this SWR: an estimate'],
  ])('%s is a sentence with its numbers', (code, values, part) => {
    const said = plainly(text(code, values) ?? '');
    expect(said).toContain(part);
    expect(said).toMatch(/\.$/);
    expect(said).not.toMatch(/NaN|undefined|null/);
  });

  it('that nobody knows here is left to the server', () => {
    expect(text('SOMETHING_NEW', {})).toBeNull();
  });
});

describe('where the power goes', () => {
  const assessment = (change: object) =>
    ({
      matchedLossDb: 1.5,
      mismatchLossDb: 0,
      matchingLossDb: 0,
      reflectionLossDb: 0,
      foldbackDb: 0,
      swrAtRadio: 1.33,
      swrAtAntenna: 1.5,
      ...change,
    }) as unknown as BandAssessment;

  it('is told place by place, and nothing of what is nothing', () => {
    expect(plainly(whereItGoes(assessment({})))).toBe('Cable and joints take 1.50 dB.');
    const all = plainly(
      whereItGoes(
        assessment({
          mismatchLossDb: 0.4,
          matchingLossDb: 0.3,
          reflectionLossDb: 0.2,
          foldbackDb: 3,
        }),
      ),
    );
    expect(all).toContain('the standing wave adds 0.40 dB');
    expect(all).toContain('the matching unit takes 0.30 dB');
    expect(all).toContain('0.20 dB never leaves the radio');
    expect(all).toContain('the radio holds back 3.00 dB');
  });

  it('does not enter a receiver, instead of not leaving a radio', () => {
    expect(whereItGoes(assessment({ reflectionLossDb: 0.2 }), true)).toContain(
      'does not enter the receiver',
    );
  });

  it('says what the SWR is at both ends', () => {
    expect(plainly(swrAtBothEnds(assessment({})))).toContain('1.50 at the antenna shows as 1.33');
  });
});

describe('small words', () => {
  it('say whether a plan is saved', () => {
    for (const kind of ['saved', 'saving', 'unsaved', 'changedElsewhere', 'refused', 'away']) {
      expect(saveWords({ kind, what: 'server' }, 'a moment ago'), kind).not.toBe('');
    }
  });

  it('say how long ago something was', () => {
    expect(agoText(0, 1000)).toBe('a moment ago');
    expect(agoText(0, 10 * 60_000)).toContain('10');
  });

  it('begin a sentence', () => {
    expect(capital('the plug')).toBe('The plug');
    expect(capital('')).toBe('');
  });
});

describe('sentences that stand on a sheet', () => {
  it.each(Object.entries(sentences))('%s is whole', (_, sentence) => {
    expect(sentence).toMatch(/^[A-Z]/);
    expect(sentence).toMatch(/\.$/);
    expect(sentence).not.toMatch(/ {2}|\s$|^\s/);
  });
});

describe('what is not known, and what another day would make of it', () => {
  it('is named, each part once', () => {
    expect(unknownRatings(['the arrestor'])).toBe(
      'What the arrestor bears is not known, so it is not judged.',
    );
    expect(unknownRatings(['the arrestor', 'UHF', 'the matching unit'])).toBe(
      'What the arrestor, UHF and the matching unit bear is not known, so it is not judged.',
    );
  });

  it('is told of the day that it is not', () => {
    expect(otherWeatherSentence(true, '34 W', '40 m')).toBe(
      'When the line is wet, 34 W on 40 m: an assumption of its type.',
    );
    expect(otherWeatherSentence(false, '61 W', '40 m')).toBe(
      'Taken as wet; dry it would be 61 W on 40 m.',
    );
  });

  it('is told of a reading with the run that it was read through', () => {
    expect(readThroughSentence('30 m RG-58', { antenna: 1.512, now: 1.32 })).toBe(
      'read at the radio through 30 m RG-58: 1.51 at the antenna; with this run the radio shows 1.32.',
    );
    expect(readThroughSentence('30 m RG-58', { antenna: null, now: 9 })).toContain('without limit');
    expect(readThroughSentence('30 m RG-58', null)).toBe('read at the radio through 30 m RG-58');
  });
});
