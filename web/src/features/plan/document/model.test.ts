import { describe, expect, it } from 'vitest';
import { joint, line, planOfRun } from '../../../testing/plans';
import {
  band,
  bandName,
  bandsOf,
  candidateLengthM,
  canonical,
  comparisonOf,
  dutyOn,
  isAnythingAsked,
  matchingLossOn,
  matchingOn,
  ownCablesOf,
  powerOn,
  preferenceOf,
  radioOf,
  requirementsOf,
  revisionNumber,
  runOf,
  timesOf,
  usualMatching,
} from './model';
import { newId } from '../../../ui/newId';
import type { Plan } from './model';

const empty: Plan = { site: '', name: '', document: { schemaVersion: 1 } };

function withAssessment(change: object): Plan {
  const plan = planOfRun();
  return {
    ...plan,
    document: { ...plan.document, assessment: { ...plan.document.assessment, ...change } },
  };
}

function withDocument(change: object): Plan {
  const plan = planOfRun();
  return { ...plan, document: { ...plan.document, ...change } };
}

describe('a plan of which nothing is said', () => {
  it('has no run, no bands, no wishes, and the usual for the rest', () => {
    expect(runOf(empty)).toEqual([]);
    expect(bandsOf(empty)).toEqual([]);
    expect(radioOf(empty)).toEqual({});
    expect(requirementsOf(empty)).toEqual([]);
    expect(ownCablesOf(empty)).toEqual([]);
    expect(isAnythingAsked(empty)).toBe(false);
    expect(timesOf(empty)).toBe(1);
    expect(preferenceOf(empty)).toBe('LEAST_COST');
    expect(candidateLengthM(empty)).toBe(0);
    expect(powerOn(empty, undefined)).toBeNull();
    expect(matchingOn(empty, undefined)).toBe('AT_RADIO');
    expect(matchingLossOn(empty, undefined)).toBe(0);
    expect(dutyOn(empty, undefined)).toBe(1);
  });
});

describe('what a band says for itself', () => {
  const plan = withAssessment({
    radio: { powerW: 50, matching: 'NONE', matchingLossDb: 0.3, duty: 0.5 },
  });
  const own = { powerW: 5, matching: 'AT_ANTENNA' as const, matchingLossDb: 0.1, duty: 0.25 };

  it('stands before what the radio says', () => {
    expect(powerOn(plan, own)).toBe(5);
    expect(matchingOn(plan, own)).toBe('AT_ANTENNA');
    expect(matchingLossOn(plan, own)).toBe(0.1);
    expect(dutyOn(plan, own)).toBe(0.25);
  });

  it('and otherwise the radio speaks', () => {
    expect(powerOn(plan, {})).toBe(50);
    expect(matchingOn(plan, {})).toBe('NONE');
    expect(matchingLossOn(plan, {})).toBe(0.3);
    expect(dutyOn(plan, {})).toBe(0.5);
  });

  it('is no loss where it is none', () => {
    expect(matchingLossOn(plan, { matchingLossDb: 0 })).toBe(0);
  });

  it('is its name, or else its frequency', () => {
    expect(bandName({ name: '2 m', frequencyMHz: 145 })).toBe('2 m');
    expect(bandName({ name: '', frequencyMHz: 145.5 })).toBe('145.5 MHz');
    expect(bandName(undefined)).toBe('a band');
  });
});

describe('what is asked', () => {
  it('is nothing while all of it is put aside', () => {
    const aside = withDocument({ requirements: [{ kind: 'SUN', off: true }] });
    expect(requirementsOf(aside)).toHaveLength(1);
    expect(isAnythingAsked(aside)).toBe(false);
    const one = withDocument({ requirements: [{ kind: 'SUN', off: true }, { kind: 'WATER' }] });
    expect(isAnythingAsked(one)).toBe(true);
  });
});

describe('the length that is up for choice', () => {
  it('is that of all such sections, and of nothing else', () => {
    const run = [
      line({ lengthM: 20 }),
      joint(),
      line({ id: 'm', lengthM: 2, candidate: undefined }),
      line({ id: 'n', lengthM: 1.5 }),
      line({ id: 'o', lengthM: undefined }),
    ];
    expect(candidateLengthM(planOfRun(run))).toBe(21.5);
  });
});

describe('the ledger that a plan asks for', () => {
  const tolerance = { typicalPercent: 10 } as never;

  it('leaves the choice to the server where the plan has no cable of its own', () => {
    const request = comparisonOf(planOfRun(), tolerance, []);
    expect(request.candidates).toEqual([]);
    expect(request.preference).toBe('LEAST_COST');
    expect(request.tolerance).toBe(tolerance);
    expect(request.bands).toHaveLength(2);
    expect(request).not.toHaveProperty('purchase');
  });

  it('asks for the whole catalogue, and for cables of its own', () => {
    const own = { id: 'mine', cable: { name: 'Loft' } };
    const plan = withDocument({ candidates: [own, { cableKey: 'rg-58' }] });
    expect(ownCablesOf(plan)).toEqual([own]);
    expect(comparisonOf(plan, tolerance, [])).toMatchObject({
      candidates: [own],
      wholeCatalogue: true,
    });
  });

  it('takes along how often it is bought, and which cells are wanted whole', () => {
    const plan = withDocument({ purchase: { times: 3 } });
    const details = [{ row: 'rg-58', band: 1 }] as never;
    const request = comparisonOf(plan, tolerance, details);
    expect(request.purchase).toEqual({ times: 3 });
    expect(request.details).toBe(details);
    expect(timesOf(plan)).toBe(3);
  });
});

describe('a plan as text', () => {
  it('is the same in whatever order its fields came back', () => {
    const plan = planOfRun();
    const turned: Plan = {
      document: {
        assessment: Object.fromEntries(
          Object.entries(plan.document.assessment ?? {}).toReversed(),
        ) as never,
        schemaVersion: 1,
      },
      name: plan.name,
      site: plan.site,
    };
    expect(canonical(turned)).toBe(canonical(plan));
  });

  it('tells a run from the same run turned round', () => {
    const there = planOfRun([line(), joint()]);
    const back = planOfRun([joint(), line()]);
    expect(canonical(there)).not.toBe(canonical(back));
  });
});

describe('a new band', () => {
  it.each([
    [7.1, 'AT_RADIO'],
    [54, 'AT_RADIO'],
    [145, 'NONE'],
  ] as const)('at %d MHz has its matching unit %s', (frequencyMHz, matching) => {
    expect(usualMatching(frequencyMHz)).toBe(matching);
    expect(band('new', frequencyMHz)).toMatchObject({ frequencyMHz, matching, load: { swr: 1.5 } });
  });

  it('has a name that no other has', () => {
    const names = new Set(Array.from({ length: 500 }, newId));
    expect(names.size).toBe(500);
    names.forEach((n) => expect(n).toMatch(/^[0-9a-f]{8}$/));
  });
});

it('revisions on paper count from 1', () => {
  expect(revisionNumber(0)).toBe(1);
});
