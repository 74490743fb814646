import { describe, expect, it } from 'vitest';
import { apply } from './commands';
import type { Command } from './commands';
import { historyOf, historyReducer } from './history';
import { bandsOf, runOf } from './model';
import { newPlan } from './presets';
import type { Element } from './model';

const arrestor: Element = { id: 'a', kind: 'DEVICE', name: 'arrestor', lossDb: 0.1 };

const run = (...commands: Command[]) => runOf(commands.reduce(apply, newPlan()));

describe('the run', () => {
  it('takes an element in at a gap', () => {
    expect(run({ do: 'addElements', at: 2, elements: [arrestor] }).map((e) => e.kind)).toEqual([
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

describe('a reading at the radio', () => {
  const read = apply(newPlan(), {
    do: 'changeBand',
    band: 0,
    change: { load: { swrAtRadio: 1.1 } },
  });
  const loadOf = (...commands: Command[]) => bandsOf(commands.reduce(apply, read))[0]?.load;
  const thicker: Command = {
    do: 'changeElement',
    element: 1,
    to: { id: 'main', kind: 'LINE', cableKey: 'foam-10', lengthM: 20, candidate: true },
  };

  it('keeps the run it was read through when that becomes another', () => {
    const load = loadOf(thicker);
    expect(load?.swrAtRadio).toBe(1.1);
    expect(load?.through?.map((e) => (e.kind === 'LINE' ? e.cableKey : e.kind))).toEqual([
      'JOINT',
      'rg-58',
      'JOINT',
    ]);
  });

  it('keeps the first of them, however often the run changes', () => {
    const longer: Command = { do: 'setLength', element: 1, lengthM: 40 };
    expect(loadOf(thicker, longer)?.through).toEqual(loadOf(thicker)?.through);
    expect(loadOf(longer, thicker)?.through).toEqual(loadOf(longer)?.through);
  });

  it('is of the run as it is when it is read anew, or typed again', () => {
    expect(loadOf(thicker, { do: 'readAnew', band: 0 })).toEqual({ swrAtRadio: 1.1 });
    expect(
      loadOf(thicker, { do: 'changeBand', band: 0, change: { load: { swrAtRadio: 1.3 } } }),
    ).toEqual({ swrAtRadio: 1.3 });
  });

  it('is left alone by what does not change the run', () => {
    expect(loadOf({ do: 'offerLine', element: 1, offered: false })).toEqual({ swrAtRadio: 1.1 });
    expect(loadOf({ do: 'setAmbient', ambientC: 30 })).toEqual({ swrAtRadio: 1.1 });
    expect(loadOf({ do: 'setWeather', wet: true })).toEqual({ swrAtRadio: 1.1 });
  });

  it('does not concern a band whose antenna is known', () => {
    expect(bandsOf(apply(read, thicker))[1]?.load?.through).toBeUndefined();
  });

  it('is not kept twice by a version taken from elsewhere', () => {
    const other = { ...read, document: newPlan('FIELD_KIT').document };
    expect(apply(read, { do: 'takeVersion', plan: other })).toBe(other);
  });
});
