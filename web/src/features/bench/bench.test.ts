import { describe, expect, it } from 'vitest';
import type { BenchAnalysis, BenchFigure, BenchNotes, BenchSummary } from '../../api';
import { benchFindingText, benchSentences } from '../../words';
import { alongRun } from './alongPlan';
import { comparedCsv, readAs, sheetsOf } from './compared';
import { addressOf } from './instrument';
import { frequenciesOf, labelOf } from './log';
import {
  blankNotes,
  correctionOf,
  kept,
  nextCable,
  pieceOf,
  usualBandsMHz,
  withAnotherLevel,
  withoutReading,
  withReading,
} from './notes';

const FIGURE: BenchFigure = {
  frequencyMHz: 145,
  lossDb: 3.2,
  leastDb: 3.1,
  mostDb: 3.3,
  per100mDb: 16,
  expectedDb: 2.4,
  allowedDb: 0.34,
  excessDb: 0.8,
  percentOfSheet: 133,
  outcome: 'WORSE',
  leastPer100mDb: 15.5,
  mostPer100mDb: 16.5,
  uncertainty: { expandedDb: 0.1, terms: [] },
};

const NOTHING: BenchAnalysis = {
  readings: [],
  figures: [],
  line: null,
  curve: [],
  severalLengths: [],
  outcome: null,
  worst: null,
  causes: [],
  likeTypes: [],
  likeness: [],
  ownCable: null,
  findings: [],
};

const plain = (texts: string[]) => texts.map((t) => t.replaceAll('\u00a0', ' '));
const say = (analysis: Partial<BenchAnalysis>) =>
  plain(
    benchSentences({ ...NOTHING, ...analysis }, 'Quay 20', 'RG-213', (key) => key.toUpperCase()),
  );

describe('the verdict in sentences', () => {
  it('says by how much it is worse, why, and what to test next', () => {
    const [verdict, cause, next] = say({
      figures: [FIGURE],
      outcome: 'WORSE',
      worst: FIGURE,
      causes: [{ kind: 'CONTACT', share: 1, amount: 0.78, chiSquare: 1 }],
    });
    expect(verdict).toBe(
      'Quay 20 loses 0.80 dB (33 %) more than RG-213 should at 145 MHz: 3.20 dB where 2.40 dB are expected.',
    );
    expect(cause).toContain('about 0.8 dB on every band alike');
    expect(next).toMatch(/^Next: /);
  });

  it('claims no cause from a few bands, and asks for more', () => {
    expect(say({ figures: [FIGURE], outcome: 'WORSE', worst: FIGURE })[1]).toContain(
      'fewer than four bands',
    );
  });

  it('takes another velocity for another cable', () => {
    const said = say({
      figures: [FIGURE],
      outcome: 'WORSE',
      worst: FIGURE,
      likeness: [
        { key: 'rg-58', lossPercent: 4, velocityPercent: null, impedancePercent: null },
        { key: 'rg-8x', lossPercent: 6, velocityPercent: null, impedancePercent: null },
      ],
      findings: [{ code: 'OTHER_VELOCITY', values: {} }],
    });
    expect(said[1]).toBe('It measures like RG-58 (loss within 4 %); or RG-8X (loss within 6 %).');
    expect(said[2]).toContain('another cable than its label says');
  });

  it('doubts what is better than it can be', () => {
    const better = { ...FIGURE, excessDb: -0.9, outcome: 'BETTER_THAN_IT_CAN_BE' as const };
    expect(
      say({ figures: [better], outcome: 'BETTER_THAN_IT_CAN_BE', worst: better })[0],
    ).toContain('check the length, the type and the baseline');
  });

  it('says what a cable of no known type is like, and that nothing was read', () => {
    expect(say({})).toEqual(['Nothing has been read yet.']);
    expect(
      say({
        figures: [FIGURE],
        likeness: [
          { key: 'rg-213', lossPercent: 2, velocityPercent: null, impedancePercent: null },
        ],
      }),
    ).toEqual(['Quay 20 loses 3.20 dB at 145 MHz.', 'It measures like RG-213 (loss within 2 %).']);
  });

  it('has a sentence with the number for every finding, and the server’s own for the rest', () => {
    const text = benchFindingText({
      code: 'LEVELS_DISAGREE',
      values: { frequencyMHz: 145, oneDb: 2.5, otherDb: 3.98 } as never,
    });
    expect(text.replaceAll('\u00a0', ' ')).toContain('145 MHz give 2.50 and 3.98 dB');
    expect(
      benchFindingText({
        code: 'IMPOSSIBLE',
        values: { why: 'the steps are too coarse' as never },
      }),
    ).toBe('The steps are too coarse.');
  });
});

describe('notes', () => {
  const blank = blankNotes('WATTMETER', usualBandsMHz(1), '2026-05-02');

  it('begin with bands far enough apart to tell a cause', () => {
    expect(blank.readings?.map((r) => r.frequencyMHz)).toEqual(blank.bandsMHz);
    expect(blank.bandsMHz?.length).toBeGreaterThanOrEqual(4);
  });

  it('keep only what was read', () => {
    const read = withReading(blank, 2, { baseline: '100', through: '80' });
    expect(kept(read).readings).toEqual([{ frequencyMHz: 14.2, baseline: '100', through: '80' }]);
  });

  it('take the same band twice, and a row out', () => {
    const twice = withAnotherLevel(blank, 1);
    expect(twice.readings?.slice(1, 3).map((r) => r.frequencyMHz)).toEqual([7.1, 7.1]);
    expect(withoutReading(twice, 1).readings).toEqual(blank.readings);
  });

  it('leave out what a stored test does not say', () => {
    const document = {
      method: 'LOSSES',
      piece: null,
      readings: [{ frequencyMHz: 7, lengthM: null }],
    };
    const corrected = correctionOf({ document, summary: { revision: 3 } } as never);
    expect(corrected).toEqual({ method: 'LOSSES', readings: [{ frequencyMHz: 7 }], revision: 3 });
  });
});

describe('a run as distances', () => {
  it('has its lines one after the other, and what is between them where it is', () => {
    const along = alongRun(
      [
        { kind: 'JOINT', connectorKey: 'n' },
        { kind: 'LINE', cableKey: 'rg-58', lengthM: 2 },
        { kind: 'DEVICE', name: 'arrestor', lossDb: 0.1 },
        { kind: 'LINE', cableKey: 'foam-10', lengthM: 31 },
      ],
      (key) => key.toUpperCase(),
    );
    expect(along.lengthM).toBe(33);
    expect(along.lines[1]).toEqual({ name: 'FOAM-10', fromM: 2, toM: 33 });
    expect(along.places).toEqual([
      { name: 'joint', atM: 0 },
      { name: 'arrestor', atM: 2 },
    ]);
  });
});

describe('the address of an instrument', () => {
  it('is a host and a port, and nothing else', () => {
    expect(addressOf(' 127.0.0.1:5025 ')).toMatchObject({ host: '127.0.0.1', port: 5025 });
    expect(addressOf('[::1]:5025')).toMatchObject({ host: '::1' });
    for (const wrong of ['', 'bench', 'bench:', 'bench:0', 'bench:70000', 'http://bench:80/x']) {
      expect(addressOf(wrong)).toBeNull();
    }
  });
});

describe('the log', () => {
  const test = {
    piece: 'Duct 18',
    cableName: 'RG-213',
    cableKey: 'rg-213',
    testedOn: '2026-04-11',
    method: 'WATTMETER',
    outcome: 'WORSE',
    figures: [FIGURE, { ...FIGURE, frequencyMHz: 7.1 }],
  } as unknown as BenchSummary;

  it('lays tests side by side by frequency', () => {
    expect(frequenciesOf([test, test])).toEqual([7.1, 145]);
    expect(labelOf(test)).toBe('Duct 18, 2026-04-11');
  });
});

describe('a session', () => {
  const read: BenchNotes = {
    ...blankNotes('WATTMETER', [14.2, 145], '2026-05-02'),
    id: 'a',
    piece: 'Quay 20',
    pieceId: 'p',
    cableKey: 'rg-213',
    lengthM: 20,
    note: 'wet',
    temperatureC: 12,
    station: { radio: 'the club’s', place: 'the shed' },
    joints: [{ connectorKey: 'n' }, { connectorKey: 'uhf' }],
    readings: [{ frequencyMHz: 145, baseline: '50', through: '32', baselineAfter: '49' }],
  };

  it('goes on to the next cable with all that it is measured with, and nothing of the last one', () => {
    const next = nextCable(read, 'b', '2026-05-03');
    expect(next).toMatchObject({
      id: 'b',
      testedOn: '2026-05-03',
      temperatureC: 12,
      station: { radio: 'the club’s', place: 'the shed' },
      readings: [{ frequencyMHz: 145, baseline: '50' }],
    });
    expect(next).not.toHaveProperty('piece');
    expect(next).not.toHaveProperty('lengthM');
    expect(next).not.toHaveProperty('note');
    expect(next.readings?.[0]).not.toHaveProperty('through');
  });

  it('makes the piece that a label means, with its length and its ends', () => {
    expect(pieceOf({ ...read, pieceId: undefined }, 'new', null)).toEqual({
      id: 'new',
      label: 'Quay 20',
      lengthM: 20,
      cableKey: 'rg-213',
      near: { connectorKey: 'n', gender: 'PLUG' },
      far: { connectorKey: 'uhf', gender: 'PLUG' },
    });
    expect(pieceOf({ ...read, lengthM: undefined }, 'new', 19.876)?.lengthM).toBe(19.88);
    expect(pieceOf({ ...read, lengthM: undefined }, 'new', null)).toBeNull();
    expect(pieceOf({ ...read, piece: ' ' }, 'new', null)).toBeNull();
  });
});

describe('tests side by side', () => {
  const summary = {
    id: 't',
    piece: 'Quay 20',
    cableKey: 'rg-213',
    cableName: 'RG-213',
    testedOn: '2026-05-02',
    figures: [FIGURE],
  } as unknown as BenchSummary;

  it('are read per length, as percent and as times of their sheet', () => {
    expect(readAs('per 100 m', 3.2, FIGURE)).toBeCloseTo(16, 9);
    expect(readAs('per 100 ft', 3.2, FIGURE)).toBeCloseTo(16 * 0.3048, 9);
    expect(readAs('as measured', 3.2, FIGURE)).toBe(3.2);
    expect(readAs('percent', 10, FIGURE)).toBeCloseTo(10, 9);
    expect(readAs('times', 3.2, FIGURE)).toBeCloseTo(3.2 / 2.4, 9);
    expect(readAs('per 100 m', FIGURE.expectedDb, FIGURE)).toBeCloseTo(12, 9);
    expect(readAs('times', 3.2, { ...FIGURE, expectedDb: null })).toBeNull();
    expect(readAs('percent', null, FIGURE)).toBeNull();
  });

  it('have the sheet of each of their types once', () => {
    const other = { ...summary, id: 'u', cableKey: 'rg-58', cableName: 'RG-58' };
    const unknown = { ...summary, id: 'v', cableKey: null, cableName: null };
    expect(sheetsOf([summary, { ...summary, id: 'w' }, other, unknown]).map((s) => s.name)).toEqual(
      ['RG-213, its sheet', 'RG-58, its sheet'],
    );
  });

  it('are saved as the table that is shown', () => {
    const [head, row] = comparedCsv([summary], [145], 'as measured').split('\r\n');
    expect(head).toContain('Quay 20, 2026-05-02, as measured');
    expect(row).toBe('145,3.2');
  });
});
