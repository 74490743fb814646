import { describe, expect, it } from 'vitest';
import { aloneOn, branchAt, forksOf, isAside, newFork, portsOf, towardOf } from './branches';
import { apply } from './commands';
import type { Command } from './commands';
import type { Element, Plan } from './model';
import { bandsOf, runOf } from './model';
import { newPlan } from './presets';

const arrestor: Element = { id: 'a', kind: 'DEVICE', name: 'arrestor', lossDb: 0.1 };
const diplexer = () => newFork('DIPLEXER', 'ANTENNAS', ['low bands', 'high bands'], 0.3);

function plan(...commands: Command[]): Plan {
  const start = newPlan();
  const bands = [3.6, 7.1, 145, 433].map((frequencyMHz) => ({
    id: `${frequencyMHz}`,
    frequencyMHz,
    load: { swr: 1.5 },
  }));
  const document = { ...start.document, assessment: { ...start.document.assessment, bands } };
  return commands.reduce(apply, { ...start, document });
}

const branchOf = (e: Element | undefined) => (e && e.kind !== 'FORK' ? e.branch : undefined);

describe('a run that forks', () => {
  it('gives what stands behind the fork to the first branch, and the bands where they belong', () => {
    const forked = plan({ do: 'fork', at: 2, fork: diplexer() });
    expect(runOf(forked).map((e) => (e.kind === 'FORK' ? 'fork' : (e.branch ?? '')))).toEqual([
      '',
      '',
      'fork',
      'low-bands',
    ]);
    expect(bandsOf(forked).map((b) => b.branch)).toEqual([
      'low-bands',
      'low-bands',
      'high-bands',
      'high-bands',
    ]);
  });

  it('puts what is added behind it into the branch of the band in focus', () => {
    const forked = plan({ do: 'fork', at: 2, fork: diplexer() });
    const run = runOf(forked);
    const [low, , high] = bandsOf(forked);
    expect(branchAt(run, 4, high)).toBe('high-bands');
    expect(branchAt(run, 3, low)).toBe('low-bands');
    expect(branchAt(run, 2, high)).toBeUndefined();
    expect(isAside(run[3], high)).toBe(true);
    expect(isAside(run[3], low)).toBe(false);
  });

  it('forks again toward the radios, into the same branches', () => {
    const from = newFork('DIPLEXER', 'RADIOS', ['one', 'two'], 0.2);
    const twice = plan({ do: 'fork', at: 2, fork: diplexer() }, { do: 'fork', at: 1, fork: from });
    expect(forksOf(runOf(twice))).toEqual([1, 3]);
    expect(portsOf(runOf(twice)).map((p) => p.branch)).toEqual(['low-bands', 'high-bands']);
    expect(towardOf(runOf(twice), 1)).toBe('RADIOS');
    const [first] = runOf(twice);
    expect(first?.kind !== 'FORK' && first?.branch).toBe('low-bands');
  });

  it('is one run again when the fork is taken out, and the first branch stays', () => {
    const other = { ...arrestor, branch: 'high-bands' };
    const forked = plan(
      { do: 'fork', at: 2, fork: diplexer() },
      { do: 'addElements', at: 4, elements: [other] },
      { do: 'removeElement', element: 2 },
    );
    expect(runOf(forked).map((e) => e.id)).toEqual(['j1', 'main', 'j2']);
    expect(runOf(forked).every((e) => e.kind === 'FORK' || e.branch === undefined)).toBe(true);
    expect(bandsOf(forked).every((b) => b.branch === undefined)).toBe(true);
  });

  it('takes what is carried across the fork into a branch, or out of it', () => {
    const forked = plan(
      { do: 'fork', at: 2, fork: diplexer() },
      { do: 'moveElement', from: 0, to: 3 },
    );
    const [, , , moved] = runOf(forked);
    expect(moved).toMatchObject({ id: 'j1', branch: 'low-bands' });
    const back = apply(forked, { do: 'moveElement', from: 3, to: 0 });
    expect(runOf(back)[0]).toMatchObject({ id: 'j1' });
    expect(branchOf(runOf(back)[0])).toBeUndefined();
  });

  it('gives all bands of a splitter to its first receiver', () => {
    const split = newFork('SPLITTER', 'RADIOS', ['receiver 1', 'receiver 2'], 0.5);
    const forked = plan({ do: 'fork', at: 0, fork: split });
    expect(bandsOf(forked).every((b) => b.branch === 'receiver-1')).toBe(true);
    expect(branchAt(runOf(forked), 0, { branch: 'receiver-2' })).toBe('receiver-2');
  });

  it('has each branch as a run of its own, to compare with', () => {
    const forked = plan(
      { do: 'fork', at: 2, fork: diplexer() },
      { do: 'addElements', at: 4, elements: [{ ...arrestor, branch: 'high-bands' }] },
    );
    const high = aloneOn(forked, 'high-bands');
    expect(runOf(high).map((e) => e.id)).toEqual(['j1', 'main', 'a']);
    expect(bandsOf(high).map((b) => b.frequencyMHz)).toEqual([145, 433]);
    expect(bandsOf(high).every((b) => b.branch === undefined)).toBe(true);
  });
});
