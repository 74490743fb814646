import { newId } from '../../ui/newId';
import type { CutPlan } from '../../api';
import type { SiteDocument, SiteRun } from './useSite';

export type Begun = NonNullable<SiteDocument['cutting']>['reels'][number];
export type SiteCut = Begun['cuts'][number];

/** What is cut of one cable. */
export interface OfCable {
  cableName: string;
  cableKey: string | null;
  cuts: { name: string; run: string; lengthM: number }[];
}

/** What has to be cut for all runs, by cable; what is there already is not cut. */
export function cutsByCable(runs: readonly SiteRun[]): OfCable[] {
  const byCable = new Map<string, OfCable>();
  for (const run of runs) {
    const own = run.lines.filter((l) => !l.isOwned);
    for (const line of own) {
      const of = byCable.get(line.name) ?? {
        cableName: line.name,
        cableKey: line.cableKey,
        cuts: [],
      };
      const nth = own.filter((l) => l.name === line.name).indexOf(line) + 1;
      const isAlone = own.filter((l) => l.name === line.name).length === 1;
      of.cuts.push({
        name: isAlone ? run.name : `${run.name} ${nth}`,
        run: run.planId,
        lengthM: line.cutM,
      });
      byCable.set(line.name, of);
    }
  }
  return [...byCable.values()];
}

/** Reels of a plan for one cable, as they are kept; each cut knows its run. */
export function begunReels(of: OfCable, plan: CutPlan): Begun[] {
  const left = [...of.cuts];
  return plan.reels.map((reel, i) => ({
    name: reel.bought ? `${of.cableName}, bought ${i + 1}` : reel.name,
    ...(of.cableKey !== null && { cableKey: of.cableKey }),
    cableName: of.cableName,
    lengthM: reel.lengthM,
    bought: reel.bought,
    cuts: reel.cuts.map((c) => {
      const at = left.findIndex((l) => l.name === c.name && l.lengthM === c.lengthM);
      const [of1] = left.splice(Math.max(0, at), 1);
      return {
        id: newId(),
        name: c.name,
        ...(of1 && { run: of1.run }),
        lengthM: c.lengthM,
      };
    }),
  }));
}

/** Whether a kept plan no longer cuts what the runs need. */
export function isOutdated(kept: readonly Begun[], needed: readonly OfCable[]): boolean {
  const told = (name: string, lengthM: number) => `${name} ${lengthM.toFixed(3)}`;
  const now = needed.flatMap((of) => of.cuts.map((c) => told(of.cableName + c.name, c.lengthM)));
  const then = kept.flatMap((r) => r.cuts.map((c) => told(r.cableName + c.name, c.lengthM)));
  return now.toSorted().join('|') !== then.toSorted().join('|');
}

/** A new plan in which what is cut already stays so: the same cut for the same run. */
export function withWhatIsCut(fresh: readonly Begun[], before: readonly Begun[]): Begun[] {
  const left = before.flatMap((r) => r.cuts).filter((c) => c.done);
  return fresh.map((reel) => ({
    ...reel,
    cuts: reel.cuts.map((cut) => {
      const at = left.findIndex((c) => c.run === cut.run && isSameLength(c, cut));
      const [same] = at < 0 ? [] : left.splice(at, 1);
      return same ? { ...cut, id: same.id, done: true, pieceId: same.pieceId } : cut;
    }),
  }));
}

/** To a millimetre, which nobody cuts finer than. */
function isSameLength(a: { lengthM: number }, b: { lengthM: number }): boolean {
  return Math.abs(a.lengthM - b.lengthM) < 0.001;
}

/** What is said of a site with one of its cuts said anew. */
export function withCut(document: SiteDocument, to: SiteCut): SiteDocument {
  const reels = (document.cutting?.reels ?? []).map((reel) => ({
    ...reel,
    cuts: reel.cuts.map((cut) => (cut.id === to.id ? to : cut)),
  }));
  return { ...document, cutting: { reels } };
}
