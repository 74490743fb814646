import type { Row } from '../../../api';
import { describe, expect, it } from 'vitest';
import type { Command } from './commands';
import { historyOf, historyReducer } from './history';
import type { History } from './history';
import { bandsOf, candidateLengthM, ownCablesOf, requirementsOf, runOf } from './model';
import { laid } from '../ledger/mix';
import { newPlan } from './presets';

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

/** A row with one cable in its one section. */
function rowOf(cableKey: string | null, candidateId: string | null): Row {
  return {
    assignment: [{ element: 1, elementId: 'main', lengthM: 20, source: { cableKey, candidateId } }],
  } as unknown as Row;
}

describe('commands', () => {
  const own = {
    id: 'own-1',
    name: 'Attic',
    cable: { impedanceOhm: 50, velocityFactor: 0.8, attenuation: { points: [] } },
  };

  it('lay a cable of the catalogue or of ones own into the run', () => {
    const start = newPlan();
    const lay = (cableKey: string | null, candidateId: string | null): Command => ({
      do: 'pick',
      run: laid(runOf(start), rowOf(cableKey, candidateId), [own]),
    });
    const section = { id: 'main', kind: 'LINE', lengthM: 20, candidate: true };
    expect(runOf(after(historyOf(start), [lay('foam-10', null), 0]).present)[1]).toEqual({
      ...section,
      cableKey: 'foam-10',
    });
    expect(runOf(after(historyOf(start), [lay(null, 'own-1'), 0]).present)[1]).toEqual({
      ...section,
      cable: own.cable,
      name: 'Attic',
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

  it('ask, change, ease and ask no more, and forget what was asked of a band with it', () => {
    const start = newPlan();
    const before = requirementsOf(start).length;
    const asked = after(historyOf(start), [
      {
        do: 'askMore',
        requirement: { kind: 'MOST_LOSS', lossDb: 3, bandId: bandsOf(start)[1]?.id },
      },
      0,
    ]);
    expect(requirementsOf(asked.present)).toHaveLength(before + 1);
    const changed = after(asked, [
      { do: 'changeAsked', asked: before, to: { kind: 'MOST_LOSS', lossDb: 4 } },
      9000,
    ]);
    expect(requirementsOf(changed.present)[before]).toEqual({ kind: 'MOST_LOSS', lossDb: 4 });
    const eased = after(changed, [
      { do: 'easeAsked', to: new Map([[0, { kind: 'LEAST_PERCENT', percent: 30 }]]) },
      9000,
    ]);
    expect(requirementsOf(eased.present)[0]).toEqual({ kind: 'LEAST_PERCENT', percent: 30 });
    expect(requirementsOf(historyReducer(eased, { type: 'undo' }).present)).toEqual(
      requirementsOf(changed.present),
    );
    expect(
      requirementsOf(after(asked, [{ do: 'removeBand', band: 1 }, 9000]).present),
    ).toHaveLength(before);
    expect(
      requirementsOf(after(changed, [{ do: 'dropAsked', asked: before }, 9000]).present),
    ).toEqual(requirementsOf(start));
  });
});
