import { describe, expect, it } from 'vitest';
import type { CutPlan } from '../../api';
import { begunReels, cutsByCable, isOutdated, withCut, withWhatIsCut } from './cutting';
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

  it('keeps what is cut when it is planned anew', () => {
    const cut = (id: string, run: string, lengthM: number) => ({ id, name: run, run, lengthM });
    const reel = (...cuts: ReturnType<typeof cut>[]) => ({
      name: 'reel',
      cableName: 'Foam',
      lengthM: 100,
      bought: true,
      cuts,
    });
    const before = [
      reel({ ...cut('1', 'a', 20), done: true, pieceId: 'p' } as never, cut('2', 'b', 9)),
    ];
    const after = withWhatIsCut(
      [reel(cut('7', 'a', 20.0004), cut('8', 'b', 9), cut('9', 'a', 20))],
      before,
    );
    expect(after[0]?.cuts.map((c) => [c.id, c.done ?? false])).toEqual([
      ['1', true],
      ['8', false],
      ['9', false],
    ]);
  });

  it('is said anew cut by cut, whatever else was said meanwhile', () => {
    const cuts = [{ id: '1', name: 'a', lengthM: 20 }];
    const document = {
      schemaVersion: 1,
      note: 'meanwhile',
      cutting: { reels: [{ name: 'r', cableName: 'Foam', lengthM: 50, bought: false, cuts }] },
    };
    const said = withCut(document, { id: '1', name: 'a', lengthM: 20, done: true });
    expect(said.note).toBe('meanwhile');
    expect(said.cutting?.reels[0]?.cuts[0]?.done).toBe(true);
  });
});
