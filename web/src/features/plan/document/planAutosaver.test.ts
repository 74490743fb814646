import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { StoredPlan } from '../../../api';
import { Away, Refused } from '../../../api';

import type { Plan } from './model';
import { PlanAutosaver } from './planAutosaver';
import { newPlan } from './presets';

const start = newPlan();

function named(name: string): Plan {
  return { ...start, name };
}

function stored(plan: Plan, version: number): StoredPlan {
  return {
    id: 'x',
    demo: false,
    createdAt: '2026-01-01T00:00:00Z',
    updatedAt: '2026-01-01T00:00:00Z',
    version,
    ...plan,
  };
}

function conflict(current: StoredPlan): Refused {
  return new Refused({ status: 409, title: '', detail: 'changed', current });
}

describe('saving by itself', () => {
  const save = vi.fn<(plan: Plan, version: number) => Promise<StoredPlan>>();
  let saver: PlanAutosaver;

  beforeEach(() => {
    vi.useFakeTimers();
    save.mockReset();
    save.mockImplementation(async (plan, version) => stored(plan, version + 1));
    saver = new PlanAutosaver(start, 3, 0, save);
  });

  it('waits for a pause and saves the last of it, once', async () => {
    saver.change(named('a'));
    saver.change(named('ab'));
    expect(saver.state.kind).toBe('unsaved');
    await vi.advanceTimersByTimeAsync(600);
    expect(save.mock.calls.map(([plan, version]) => [plan.name, version])).toEqual([['ab', 3]]);
    expect(saver.state.kind).toBe('saved');
    expect(saver.version).toBe(4);
  });

  it('saves again what changed while it was saving', async () => {
    let answer: (plan: StoredPlan) => void = () => undefined;
    save.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    saver.change(named('a'));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state.kind).toBe('saving');
    saver.change(named('b'));
    answer(stored(named('a'), 4));
    await vi.advanceTimersByTimeAsync(600);
    expect(save.mock.calls.map(([plan, version]) => [plan.name, version])).toEqual([
      ['a', 3],
      ['b', 4],
    ]);
    expect(saver.isUnsaved()).toBe(false);
  });

  it('tries again until the server is back, and says who is away', async () => {
    save.mockRejectedValueOnce(new Away('server')).mockRejectedValueOnce(new Away('database'));
    saver.change(named('a'));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state).toEqual({ kind: 'away', what: 'server' });
    await vi.advanceTimersByTimeAsync(1000);
    expect(saver.state).toEqual({ kind: 'away', what: 'database' });
    await vi.advanceTimersByTimeAsync(2000);
    expect(saver.state.kind).toBe('saved');
    expect(save).toHaveBeenCalledTimes(3);
  });

  it('overwrites nobody: it waits for a decision', async () => {
    save.mockRejectedValueOnce(conflict(stored(named('theirs'), 9)));
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state.kind).toBe('changedElsewhere');
    saver.change(named('mine still'));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(save).toHaveBeenCalledTimes(1);

    saver.keepMine();
    await vi.advanceTimersByTimeAsync(600);
    expect(save.mock.lastCall?.[0].name).toBe('mine still');
    expect(save.mock.lastCall?.[1]).toBe(9);
    expect(saver.state.kind).toBe('saved');
  });

  const withPower = (plan: Plan, powerW: number): Plan => ({
    ...plan,
    document: {
      ...plan.document,
      assessment: { ...plan.document.assessment, radio: { powerW } },
    },
  });

  it('takes over what somebody else saved in another part, and saves both', async () => {
    const taken = vi.fn();
    saver.onTakenOver(taken);
    save.mockRejectedValueOnce(conflict(stored(withPower(start, 25), 9)));
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(2000);
    expect(taken.mock.lastCall?.[0]).toMatchObject({ parts: ['radio'] });
    expect(save.mock.lastCall).toEqual([withPower(named('mine'), 25), 9]);
    expect(saver.state.kind).toBe('saved');
  });

  it('takes over what is said to be stored, unless it is its own', async () => {
    const taken = vi.fn();
    saver.onTakenOver(taken);
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(600);
    expect(await saver.isNews(4)).toBe(false);
    await saver.theySaved(stored(named('mine'), 4));
    expect(taken).not.toHaveBeenCalled();
    await saver.theySaved(stored(named('theirs'), 5));
    expect(taken.mock.lastCall?.[0]).toMatchObject({ theirs: { name: 'theirs' } });
    expect(saver.version).toBe(5);
    expect(saver.isUnsaved()).toBe(false);
  });

  it('takes nothing over a draft that went out from an older version', async () => {
    saver = new PlanAutosaver(start, 2, 0, save, false);
    save.mockRejectedValueOnce(conflict(stored(start, 3)));
    saver.change(named('of yesterday'));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state.kind).toBe('changedElsewhere');
  });

  it('knows its own save again when the answer was lost on the way', async () => {
    save.mockRejectedValueOnce(new Away('server'));
    save.mockRejectedValueOnce(conflict(stored(named('mine'), 4)));
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(3000);
    expect(saver.state.kind).toBe('saved');
    expect(saver.version).toBe(4);
    expect(save).toHaveBeenCalledTimes(2);
  });

  it('takes theirs without saving anything', async () => {
    save.mockRejectedValueOnce(conflict(stored(named('theirs'), 9)));
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(600);
    saver.takeTheirs(named('theirs'));
    saver.change(named('theirs'));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(save).toHaveBeenCalledTimes(1);
    expect(saver.state.kind).toBe('saved');
    expect(saver.version).toBe(9);
  });

  it('does not repeat what was refused until it is changed', async () => {
    save.mockRejectedValueOnce(new Refused({ status: 422, title: '', detail: 'no' }));
    saver.change(named('bad'));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(saver.state.kind).toBe('refused');
    expect(save).toHaveBeenCalledTimes(1);
    saver.change(named('good'));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.state.kind).toBe('saved');
  });

  it('saves at once when asked to', async () => {
    saver.change(named('a'));
    await saver.flush();
    expect(saver.state.kind).toBe('saved');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(save).toHaveBeenCalledTimes(1);
  });
});
