import { describe, expect, it } from 'vitest';
import type { CutPlan } from '../../api';
import { begunReels, cutsByCable, isOutdated } from './cutting';
import type { SiteRun } from './useSite';

const line = (name: string, cutM: number, isOwned = false) => ({
  element: 0,
  name,
  cableKey: name.toLowerCase(),
  lengthM: cutM,
  cutM,
  isOwned,
  outerDiameterMm: 10,
});
const run = (planId: string, ...lines: ReturnType<typeof line>[]) =>
  ({ planId, name: `run ${planId}`, lines }) as SiteRun;

const RUNS = [
  run('a', line('Foam', 20), line('Foam', 3), line('Old', 2, true)),
  run('b', line('Foam', 10), line('Thin', 5)),
];

describe('what is cut for all runs of a site', () => {
  it('stands together by cable, without what is there', () => {
    const [foam, thin] = cutsByCable(RUNS);
    expect(foam?.cuts.map((c) => [c.name, c.lengthM])).toEqual([
      ['run a 1', 20],
      ['run a 2', 3],
      ['run b', 10],
    ]);
    expect(thin).toMatchObject({ cableName: 'Thin', cuts: [{ run: 'b' }] });
  });

  it('is kept reel by reel, and tells when the runs have become others', () => {
    const needed = cutsByCable(RUNS);
    const [foam, thin] = needed;
    if (!foam || !thin) throw new Error('two cables are cut');
    const plan = (of: typeof foam) =>
      ({
        reels: [{ name: 'new 1', lengthM: 100, bought: true, cuts: of.cuts, leftM: 67 }],
      }) as unknown as CutPlan;
    const kept = [...begunReels(foam, plan(foam)), ...begunReels(thin, plan(thin))];
    expect(kept[0]).toMatchObject({ name: 'Foam, bought 1', cableKey: 'foam' });
    expect(kept[0]?.cuts.map((c) => c.run)).toEqual(['a', 'a', 'b']);
    expect(isOutdated(kept, needed)).toBe(false);
    expect(isOutdated(kept, cutsByCable([...RUNS, run('c', line('Foam', 1))]))).toBe(true);
  });
});
