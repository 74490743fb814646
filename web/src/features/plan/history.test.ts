import { describe, expect, it } from 'vitest';
import type { Command } from './commands';
import { historyOf, historyReducer } from './history';
import type { History } from './history';
import { bandsOf, candidateLengthM, newPlan, ownCablesOf, requirementOf, runOf } from './model';

function after(history: History, ...steps: [Command, number][]): History {
  return steps.reduce(
    (h, [command, at]) => historyReducer(h, { type: 'command', command, at }),
    history,
  );
}

const setLength = (lengthM: number): Command => ({ do: 'setLength', element: 1, lengthM });

describe('undo and redo', () => {
  it('takes a burst of typing as one step', () => {
    const typed = after(
      historyOf(newPlan()),
      [setLength(3), 0],
      [setLength(31), 300],
      [setLength(31.5), 700],
    );
    expect(candidateLengthM(typed.present)).toBe(31.5);
    const undone = historyReducer(typed, { type: 'undo' });
    expect(candidateLengthM(undone.present)).toBe(20);
    expect(candidateLengthM(historyReducer(undone, { type: 'redo' }).present)).toBe(31.5);
  });

  it('ends a burst with a pause, with another field, and with an undo', () => {
    const paused = after(historyOf(newPlan()), [setLength(30), 0], [setLength(40), 5000]);
    expect(candidateLengthM(historyReducer(paused, { type: 'undo' }).present)).toBe(30);
    const other = after(
      historyOf(newPlan()),
      [setLength(30), 0],
      [{ do: 'changeRadio', change: { powerW: 5 } }, 100],
    );
    expect(candidateLengthM(historyReducer(other, { type: 'undo' }).present)).toBe(30);
    const undone = historyReducer(after(historyOf(newPlan()), [setLength(30), 0]), {
      type: 'undo',
    });
    expect(historyReducer(after(undone, [setLength(40), 100]), { type: 'undo' }).present).toEqual(
      undone.present,
    );
  });

  it('forgets what was undone once something else is done', () => {
    const undone = historyReducer(after(historyOf(newPlan()), [setLength(30), 0]), {
      type: 'undo',
    });
    expect(after(undone, [{ do: 'changeRadio', change: { powerW: 5 } }, 9000]).future).toEqual([]);
  });

  it('keeps no step for a command that changes nothing, and none beyond either end', () => {
    const start = historyOf(newPlan());
    expect(after(start, [setLength(20), 0])).toBe(start);
    expect(historyReducer(start, { type: 'undo' })).toBe(start);
    expect(historyReducer(start, { type: 'redo' })).toBe(start);
  });
});

describe('commands', () => {
  const own = {
    id: 'own-1',
    name: 'Attic',
    cable: { impedanceOhm: 50, velocityFactor: 0.8, attenuation: { points: [] } },
  };

  it('lay a cable of the catalogue or of ones own into the run', () => {
    const catalogue = after(historyOf(newPlan()), [
      { do: 'putInRun', cable: { cableKey: 'foam-10' } },
      0,
    ]);
    expect(runOf(catalogue.present)[1]).toEqual({
      id: 'main',
      kind: 'LINE',
      cableKey: 'foam-10',
      lengthM: 20,
      candidate: true,
    });
    const mine = after(catalogue, [{ do: 'putInRun', cable: own }, 1]);
    expect(runOf(mine.present)[1]).toEqual({
      id: 'main',
      kind: 'LINE',
      cable: own.cable,
      name: 'Attic',
      lengthM: 20,
      candidate: true,
    });
  });

  it('add, change and remove bands and cables of ones own', () => {
    const start = historyOf(newPlan());
    const bands = bandsOf(start.present).length;
    const added = after(start, [{ do: 'addBand', band: { id: 'x', frequencyMHz: 433 } }, 0]);
    expect(bandsOf(added.present)).toHaveLength(bands + 1);
    const changed = after(added, [
      { do: 'changeBand', band: bands, change: { load: { swr: 2 } } },
      1,
    ]);
    expect(bandsOf(changed.present)[bands]).toMatchObject({ id: 'x', load: { swr: 2 } });
    expect(
      bandsOf(after(changed, [{ do: 'removeBand', band: 0 }, 2]).present).map((b) => b.id),
    ).toContain('x');
    const put = after(start, [{ do: 'putOwnCable', cable: own }, 0]);
    const renamed = after(put, [{ do: 'putOwnCable', cable: { ...own, name: 'Loft' } }, 1]);
    expect(ownCablesOf(renamed.present).map((c) => c.name)).toEqual(['Loft']);
    expect(ownCablesOf(after(renamed, [{ do: 'removeOwnCable', id: 'own-1' }, 2]).present)).toEqual(
      [],
    );
  });

  it('ask for one thing at a time', () => {
    const asked = after(historyOf(newPlan()), [
      { do: 'ask', requirement: { kind: 'MOST_LOSS', lossDb: 3 } },
      0,
    ]);
    expect(requirementOf(asked.present)).toEqual({ kind: 'MOST_LOSS', lossDb: 3 });
    const nothing = after(asked, [{ do: 'ask', requirement: null }, 9000]);
    expect(requirementOf(nothing.present)).toBeUndefined();
  });
});
