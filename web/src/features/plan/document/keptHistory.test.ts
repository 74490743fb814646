// @vitest-environment jsdom
import { afterEach, describe, expect, it } from 'vitest';
import { line, planOfRun } from '../../../testing/plans';
import { historyOf, historyReducer } from './history';
import { keepHistory, keptHistory } from './keptHistory';

const plan = planOfRun([line({ lengthM: 20 })]);
const changed = historyReducer(historyOf(plan), {
  type: 'command',
  command: { do: 'setLength', element: 0, lengthM: 25 },
  at: 0,
});

describe('the steps of a plan', () => {
  afterEach(() => sessionStorage.clear());

  it('outlive a reload', () => {
    keepHistory('p1', changed);
    const kept = keptHistory('p1', changed.present);
    expect(historyReducer(kept, { type: 'undo' }).present).toEqual(plan);
  });

  it('are not those of a plan that became another one meanwhile', () => {
    keepHistory('p1', changed);
    expect(keptHistory('p1', planOfRun([line({ lengthM: 99 })])).past).toEqual([]);
    expect(keptHistory('p2', changed.present).past).toEqual([]);
  });

  it('are none where nothing can be read', () => {
    sessionStorage.setItem('eskiz.undo.p1', '{');
    expect(keptHistory('p1', plan)).toEqual(historyOf(plan));
  });
});
