import { describe, expect, it } from 'vitest';
import type { Row } from '../../../api';
import {
  firstAsked,
  FIELDS,
  GROUPS,
  isForReceivers,
  numberOf,
  phraseOf,
  withNumber,
} from '../requirements/asked';
import { driftOf, figuresOfThatDay } from '../document/drift';
import { laid, sectionsIn, withTail } from '../ledger/mix';
import { bandsOf, powerOn, requirementsOf, runOf } from '../document/model';
import { newPlan, PRESETS, reasonFor } from '../document/presets';
import { filtered, addressOfFilter, filterOfAddress } from '../ledger/ledgerFilter';

function row(id: string, over: Partial<Row> = {}): Row {
  return {
    id,
    name: id,
    assignment: [],
    suitability: 'SUITED',
    verdict: 'PASS',
    reasons: [],
    leastSpareDb: 1,
    cost: { amount: 100, currency: 'EUR', sample: false, samples: [] },
    notInCost: [],
    decidingBand: 0,
    mass: null,
    cells: [],
    reach: [],
    reachOfRun: null,
    chance: null,
    passing: null,
    marginalByChance: false,
    middle: [],
    surer: null,
    tolerance: { percent: 10, provenance: 'TYPICAL', ofItself: false },
    ...over,
  };
}

describe('what can be asked', () => {
  const kinds = GROUPS.flatMap((g) => g.kinds);

  it('is offered once each', () => {
    expect(new Set(kinds).size).toBe(kinds.length);
    expect(kinds.toSorted()).toEqual(Object.keys(FIELDS).toSorted());
  });

  it.each(kinds)('%s reads as a sentence with its number', (kind) => {
    const asked = firstAsked(kind, 'EUR');
    const number = numberOf(asked);
    expect(number === undefined).toBe(FIELDS[kind] === null);
    if (number !== undefined) {
      expect(phraseOf(withNumber(asked, 7))).toContain('7');
      expect(numberOf(withNumber(asked, 7))).toBe(7);
    }
    expect(phraseOf(asked)).not.toBe('');
  });
});

describe('a new plan', () => {
  it.each(PRESETS)('for $use asks with a reason each', ({ use }) => {
    const plan = newPlan(use);
    const isReceiver = bandsOf(plan).every((b) => powerOn(plan, b) === null);
    expect(requirementsOf(plan).length).toBeGreaterThan(0);
    for (const asked of requirementsOf(plan)) {
      expect(reasonFor(use, asked)).toMatch(/\.$/);
      expect(isReceiver && !isForReceivers(asked.kind)).toBe(false);
    }
    expect(sectionsIn(runOf(plan))).toBe(1);
  });

  it('keeps its reasons only as long as the numbers are its own', () => {
    expect(reasonFor('HOME_RUN', { kind: 'LEAST_PERCENT', percent: 51 })).toBeNull();
    expect(reasonFor(undefined, { kind: 'SUN' })).toBeNull();
  });
});

describe('filter', () => {
  const rows = [
    row('thin', { verdict: 'FAIL' }),
    row('thick'),
    row('present', { verdict: 'FAIL' }),
  ];

  it('finds, hides what fails, and keeps in sight what must be seen', () => {
    const hiding = filterOfAddress(new URLSearchParams('hide=failing'));
    expect(filtered(rows, hiding, [], ['present']).map((r) => r.id)).toEqual(['thick', 'present']);
    const pinned = filterOfAddress(new URLSearchParams('find=thick&pin=thin'));
    expect(filtered(rows, pinned, [], []).map((r) => r.id)).toEqual(['thin', 'thick']);
  });

  it('goes into the address and comes back', () => {
    const kept = addressOfFilter({
      find: 'foam',
      hideFailing: true,
      base: 'a',
      pinned: ['b', 'c+d'],
    });
    const address = new URLSearchParams(kept as Record<string, string>);
    expect(filterOfAddress(address)).toEqual({
      find: 'foam',
      hideFailing: true,
      base: 'a',
      pinned: ['b', 'c+d'],
    });
    expect(addressOfFilter({ find: '', hideFailing: false })).toEqual({
      find: undefined,
      hide: undefined,
    });
  });
});

describe('a mix', () => {
  const run = runOf(newPlan());

  it('takes a tail off the antenna end, joined by a connector', () => {
    const split = withTail(run, 3, 'n');
    expect(sectionsIn(split)).toBe(2);
    expect(split.map((e) => (e.kind === 'LINE' ? e.lengthM : e.kind))).toEqual([
      'JOINT',
      17,
      'JOINT',
      3,
      'JOINT',
    ]);
    expect(withTail(run, 20, 'n')).toBe(run);
  });

  it('lays each cable into its section', () => {
    const split = withTail(run, 3, 'n');
    const assignment = [1, 3].map((element) => ({
      element,
      elementId: null,
      lengthM: 1,
      source: {
        cableKey: element === 1 ? 'foam-10' : 'rg-58',
        pieceId: null,
        candidateId: null,
      },
    }));
    const lines = laid(split, row('mix', { assignment }), []).filter((e) => e.kind === 'LINE');
    expect(lines.map((l) => l.cableKey)).toEqual(['foam-10', 'rg-58']);
    expect(lines.map((l) => l.lengthM)).toEqual([17, 3]);
  });
});

describe('a decision on old figures', () => {
  const plan = newPlan();
  const cell = (lossDb: number) => ({
    bandId: bandsOf(plan)[0]?.id ?? null,
    totalLossDb: lossDb,
    powerAtAntennaW: 100 * 10 ** (-lossDb / 10),
    worstAngleLossDb: lossDb,
    swrAtRadio: 1,
    verdict: 'PASS' as const,
  });

  it('says what was and what is', () => {
    const then = row('a', { cells: [cell(1)] });
    expect(driftOf(then, row('a', { cells: [cell(1)] }), plan, 'watts')).toBeNull();
    const now = row('a', {
      cells: [cell(2)],
      cost: { amount: 130, currency: 'EUR', sample: false, samples: [] },
      verdict: 'FAIL',
    });
    expect(driftOf(then, now, plan, 'watts')?.replaceAll('\u00a0', ' ')).toBe(
      'Chosen on old figures: then 79.4 W on 40 m, 100 EUR, it passed; now 63.1 W on 40 m, 130 EUR, it fails.',
    );
    expect(driftOf(then, undefined, plan, 'watts')).toContain('no longer offered');
    expect(figuresOfThatDay(then, plan, 'watts')).toBe('79.4 W on 40 m, 100 EUR');
    expect(figuresOfThatDay(then, plan, 'dB')).toBe('−1.00 dB on 40 m, 100 EUR');
  });
});
