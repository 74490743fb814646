import { newId } from '../../../ui/newId';
import type { Band, Element, Plan } from './model';
import { bandsOf, runOf } from './model';

export type Fork = Extract<Element, { kind: 'FORK' }>;
export type Port = NonNullable<Fork['ports']>[number];

/** Where the branches of a fork are: several antennas behind it, or several radios before it. */
export type Toward = NonNullable<Fork['toward']>;

/** Where a run forks, by index. */
export function forksOf(run: readonly Element[]): number[] {
  return run.flatMap((e, i) => (e.kind === 'FORK' ? [i] : []));
}

/** The ports of a run's forks, which lead to the same branches; none for a run that does not fork. */
export function portsOf(run: readonly Element[]): Port[] {
  return run.find((e): e is Fork => e.kind === 'FORK')?.ports ?? [];
}

export function branchName(run: readonly Element[], branch: string | undefined): string {
  const port = portsOf(run).find((p) => p.branch === branch);
  return port?.name ?? branch ?? '';
}

/** Whether an element stands in another branch than the one of a band. */
export function isAside(element: Element | undefined, band: Band | undefined): boolean {
  return (
    element !== undefined &&
    element.kind !== 'FORK' &&
    element.branch !== undefined &&
    element.branch !== null &&
    element.branch !== band?.branch
  );
}

/** On which side of a fork its branches are. */
export function towardOf(run: readonly Element[], fork: number): Toward {
  const stated = run[fork];
  if (stated?.kind === 'FORK' && stated.toward) return stated.toward;
  const forks = forksOf(run);
  if (forks.length > 1) return fork === forks[0] ? 'RADIOS' : 'ANTENNAS';
  return run.slice(0, fork).some((e) => e.kind !== 'FORK' && e.branch) ? 'RADIOS' : 'ANTENNAS';
}

/** The branch in which something stands that is put into a gap; undefined where all branches are one line. */
export function branchAt(
  run: readonly Element[],
  at: number,
  band: Band | undefined,
): string | undefined {
  const isInBranch = forksOf(run).some((f) => (towardOf(run, f) === 'RADIOS' ? at <= f : at > f));
  return isInBranch ? (band?.branch ?? undefined) : undefined;
}

/** A run with each element in a branch where all is branches, and in none where all is one line: after something was moved. */
export function settled(run: Element[]): Element[] {
  const ports = portsOf(run);
  if (ports.length === 0) return run;
  return run.map((e, i) => {
    if (e.kind === 'FORK') return e;
    const isInBranch = forksOf(run).some((f) => (towardOf(run, f) === 'RADIOS' ? i < f : i > f));
    if (!isInBranch) return e.branch ? { ...e, branch: undefined } : e;
    return e.branch ? e : { ...e, branch: neighbourBranch(run, i) ?? ports[0]?.branch };
  });
}

function neighbourBranch(run: readonly Element[], i: number): string | undefined {
  const of = (e: Element | undefined) => (e && e.kind !== 'FORK' ? e.branch : undefined);
  return of(run[i - 1]) ?? of(run[i + 1]);
}

/** A run that forks from here on; what stands on that side is of the first branch. */
export function forked(plan: Plan, at: number, fork: Fork): Plan {
  const run = runOf(plan);
  const known = portsOf(run);
  const ports =
    known.length > 0 ? known.map(({ branch, name }) => ({ branch, name })) : (fork.ports ?? []);
  const toward = fork.toward ?? 'ANTENNAS';
  const first = ports[0]?.branch;
  const isBeyond = (i: number) => (toward === 'RADIOS' ? i < at : i >= at);
  const inBranch = run.map((e, i) =>
    e.kind !== 'FORK' && isBeyond(i) && !e.branch ? { ...e, branch: first } : e,
  );
  const bands = known.length > 0 ? bandsOf(plan) : sharedOut(bandsOf(plan), ports, fork.form);
  const assessment = {
    ...plan.document.assessment,
    run: inBranch.toSpliced(at, 0, { ...fork, toward, ports: withOwnLosses(ports, fork) }),
    bands,
  };
  return { ...plan, document: { ...plan.document, assessment } };
}

function withOwnLosses(ports: Port[], fork: Fork): Port[] {
  return ports.map((p, i) => ({
    ...p,
    lossDb: fork.ports?.[i]?.lossDb ?? fork.ports?.[0]?.lossDb,
  }));
}

/** A diplexer sends the low bands one way and the high ones the other, parted where they lie farthest apart. */
function sharedOut(bands: Band[], ports: Port[], form: Fork['form']): Band[] {
  if (form === 'SPLITTER') return bands.map((b) => ({ ...b, branch: ports[0]?.branch }));
  const rising = [...new Set(bands.map((b) => b.frequencyMHz ?? 0))].toSorted((a, b) => a - b);
  const gaps = rising
    .slice(1)
    .map((f, i) => ({ from: f, ratio: f / (rising[i] || 1) }))
    .toSorted((a, b) => b.ratio - a.ratio)
    .slice(0, ports.length - 1)
    .map((g) => g.from)
    .toSorted((a, b) => a - b);
  return bands.map((b) => {
    const way = gaps.filter((g) => (b.frequencyMHz ?? 0) >= g).length;
    return { ...b, branch: ports[way]?.branch };
  });
}

/** A run without one of its forks: on that side the first branch stays. */
export function unforked(plan: Plan, at: number): Plan {
  const run = runOf(plan);
  const toward = towardOf(run, at);
  const first = portsOf(run)[0]?.branch;
  const isLast = forksOf(run).length === 1;
  const isBeyond = (i: number) => (toward === 'RADIOS' ? i < at : i > at);
  const left = run.flatMap((e, i): Element[] => {
    if (i === at) return [];
    if (e.kind === 'FORK' || !isBeyond(i) || !e.branch) return [e];
    return e.branch === first ? [{ ...e, branch: undefined }] : [];
  });
  const bands = isLast ? bandsOf(plan).map((b) => ({ ...b, branch: undefined })) : bandsOf(plan);
  const assessment = { ...plan.document.assessment, run: left, bands };
  return { ...plan, document: { ...plan.document, assessment } };
}

/** What a fork is put in as. */
export function newFork(
  form: NonNullable<Fork['form']>,
  toward: Toward,
  names: readonly string[],
  lossDb: number,
): Fork {
  return {
    id: newId(),
    kind: 'FORK',
    form,
    toward,
    ports: names.map((name) => ({ branch: name.replaceAll(' ', '-'), name, lossDb })),
  };
}

/** The plan as if one branch were a run of its own: its bands, and what they go through without the forks. */
export function aloneOn(plan: Plan, branch: string): Plan {
  const run = runOf(plan).flatMap((e): Element[] =>
    e.kind === 'FORK' || (e.branch && e.branch !== branch) ? [] : [{ ...e, branch: undefined }],
  );
  const bands = bandsOf(plan)
    .filter((b) => b.branch === branch)
    .map((b) => ({ ...b, branch: undefined }));
  const ids = new Set(bands.map((b) => b.id));
  const assessment = { ...plan.document.assessment, run, bands };
  const requirements = (plan.document.requirements ?? []).filter(
    (r) => !r.bandId || ids.has(r.bandId),
  );
  return { ...plan, document: { ...plan.document, assessment, requirements } };
}
