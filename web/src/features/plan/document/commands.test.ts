import { describe, expect, it } from 'vitest';
import { apply } from './commands';
import type { Command } from './commands';
import { historyOf, historyReducer } from './history';
import { runOf } from './model';
import { newPlan } from './presets';
import type { Element } from './model';

const arrestor: Element = { id: 'a', kind: 'DEVICE', name: 'arrestor', lossDb: 0.1 };

const run = (...commands: Command[]) => runOf(commands.reduce(apply, newPlan()));

describe('the run', () => {
  it('takes an element in at a gap', () => {
    expect(run({ do: 'addElement', at: 2, element: arrestor }).map((e) => e.kind)).toEqual([
      'JOINT',
      'LINE',
      'DEVICE',
      'JOINT',
    ]);
  });

  it('has its elements carried along, and no further than its ends', () => {
    const moved = run({ do: 'moveElement', from: 1, to: 0 });
    expect(moved.map((e) => e.id)).toEqual(['main', 'j1', 'j2']);
    expect(run({ do: 'moveElement', from: 2, to: 3 })).toEqual(run());
    expect(run({ do: 'moveElement', from: 0, to: -1 })).toEqual(run());
  });

  it('keeps its length when a line is split', () => {
    const split = run({ do: 'splitLine', element: 1, atM: 6.4 });
    expect(split.map((e) => (e.kind === 'LINE' ? e.lengthM : null))).toEqual([
      null,
      6.4,
      13.6,
      null,
    ]);
    expect(new Set(split.map((e) => e.id)).size).toBe(4);
    expect(run({ do: 'splitLine', element: 1, atM: 20 })).toEqual(run());
    expect(run({ do: 'splitLine', element: 0, atM: 1 })).toEqual(run());
  });

  it('doubles an element under an id of its own, and gives one up', () => {
    const doubled = run({ do: 'duplicateElement', element: 0 });
    expect(doubled).toHaveLength(4);
    expect(doubled[1]).toMatchObject({ kind: 'JOINT', connectorKey: 'uhf' });
    expect(doubled[1]?.id).not.toBe('j1');
    expect(run({ do: 'removeElement', element: 0 }).map((e) => e.id)).toEqual(['main', 'j2']);
  });

  it('offers a line to the ledger, or takes it back', () => {
    const taken = run({ do: 'offerLine', element: 1, offered: false });
    expect(taken[1]).toMatchObject({ candidate: false });
    expect(run({ do: 'offerLine', element: 0, offered: true })).toEqual(run());
  });
});

describe('the school of joints', () => {
  it('is charged to the plan, and taken back', () => {
    const flat = apply(newPlan(), { do: 'chargeJoints', flatLossDb: 0.2 });
    expect(flat.document.assessment?.flatJointLossDb).toBe(0.2);
    const typical = apply(flat, { do: 'chargeJoints', flatLossDb: null });
    expect(typical.document.assessment?.flatJointLossDb).toBeUndefined();
  });
});

describe('a drag', () => {
  it('is one step of undo however long the hand rests', () => {
    const drag = (lengthM: number, at: number) =>
      ({
        type: 'command',
        command: { do: 'setLength', element: 1, lengthM, stroke: 's1' },
        at,
      }) as const;
    let history = historyOf(newPlan());
    for (const [length, at] of [
      [21, 0],
      [25, 9_000],
      [30, 60_000],
    ] as const)
      history = historyReducer(history, drag(length, at));
    expect(history.past).toHaveLength(1);
  });
});
