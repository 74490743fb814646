// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { StoredPlan } from '../../../api';
import { answering, Problem } from '../../../testing/answers';
import { planOfRun } from '../../../testing/plans';
import { draftOf } from './drafts';
import { usePlanEditing } from './usePlanEditing';

const STORED = {
  id: 'p1',
  demo: false,
  version: 3,
  createdAt: '2026-01-01T00:00:00Z',
  updatedAt: '2026-01-01T00:00:00Z',
  ...planOfRun(),
} as StoredPlan;

const LATER_MS = 2000;

function saved(body: { version: number; name: string }): StoredPlan {
  return { ...STORED, ...body, version: body.version + 1 };
}

/** Runs what is waited for, and what it leads to. */
const later = () => act(() => vi.advanceTimersByTimeAsync(LATER_MS));

describe('a plan being edited', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
  });
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
    vi.useRealTimers();
  });

  it('is saved by itself, from the version it was opened at', async () => {
    const asked = answering({ 'PUT /api/plans/{id}': saved });
    const { result } = renderHook(() => usePlanEditing(STORED));
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    expect(result.current.state.kind).toBe('unsaved');
    await later();
    expect(asked).toHaveLength(1);
    expect(asked[0]).toMatchObject({ params: { id: 'p1' }, body: { version: 3, name: 'Mast' } });
    expect(result.current.state.kind).toBe('saved');
    expect(result.current.version).toBe(4);
  });

  it('goes back and forth', () => {
    answering({ 'PUT /api/plans/{id}': saved });
    const { result } = renderHook(() => usePlanEditing(STORED));
    expect(result.current.canUndo).toBe(false);
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    expect(result.current.canUndo).toBe(true);
    act(() => result.current.undo());
    expect(result.current.plan.name).toBe('Roof');
    expect(result.current.canRedo).toBe(true);
    act(() => result.current.redo());
    expect(result.current.plan.name).toBe('Mast');
  });

  it('keeps what is not saved in the browser, and goes on from there', async () => {
    answering({ 'PUT /api/plans/{id}': () => new Problem(503, 'the database is away') });
    const first = renderHook(() => usePlanEditing(STORED));
    act(() => first.result.current.command({ do: 'rename', name: 'Mast' }));
    expect(draftOf('p1')).toMatchObject({ version: 3, plan: { name: 'Mast' } });
    first.unmount();
    const again = renderHook(() => usePlanEditing(STORED));
    expect(again.result.current.plan.name).toBe('Mast');
    await later();
  });

  it('forgets the draft once it is saved', async () => {
    answering({ 'PUT /api/plans/{id}': saved });
    const { result } = renderHook(() => usePlanEditing(STORED));
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    await later();
    expect(draftOf('p1')).toBeNull();
  });

  it('is saved at once when something needs the stored version', async () => {
    const asked = answering({ 'PUT /api/plans/{id}': saved });
    const { result } = renderHook(() => usePlanEditing(STORED));
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    let version: number | null = null;
    await act(async () => {
      version = await result.current.saveNow();
    });
    expect(version).toBe(4);
    expect(asked).toHaveLength(1);
  });

  it('has no stored version to tell while it cannot be saved', async () => {
    answering({ 'PUT /api/plans/{id}': () => new Problem(422, 'the name is too long') });
    const { result } = renderHook(() => usePlanEditing(STORED));
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    let version: number | null = 0;
    await act(async () => {
      version = await result.current.saveNow();
    });
    expect(version).toBeNull();
    expect(result.current.state).toMatchObject({ kind: 'refused' });
  });

  describe('when somebody else has changed it', () => {
    const theirs = { ...STORED, version: 7, name: 'Theirs' };

    async function overtaken() {
      const answers: Record<string, (body: never) => unknown> = {
        'PUT /api/plans/{id}': () => new Problem(409, 'changed meanwhile', { current: theirs }),
      };
      const asked = answering(answers);
      const hook = renderHook(() => usePlanEditing(STORED));
      act(() => hook.result.current.command({ do: 'rename', name: 'Mine' }));
      await later();
      expect(hook.result.current.state.kind).toBe('changedElsewhere');
      answers['PUT /api/plans/{id}'] = saved as never;
      return { ...hook, asked };
    }

    it('takes over what they have, which can be taken back', async () => {
      const { result } = await overtaken();
      act(() => result.current.takeTheirs());
      expect(result.current.plan.name).toBe('Theirs');
      expect(result.current.version).toBe(7);
    });

    it('saves what is pieced together over theirs', async () => {
      const { result, asked } = await overtaken();
      act(() => result.current.keep({ ...result.current.plan, name: 'Both' }));
      await later();
      expect(asked.at(-1)).toMatchObject({ body: { version: 7, name: 'Both' } });
      expect(result.current.state.kind).toBe('saved');
      expect(result.current.version).toBe(8);
    });
  });

  it('is saved when the page is left', async () => {
    const asked = answering({ 'PUT /api/plans/{id}': saved });
    const { result } = renderHook(() => usePlanEditing(STORED));
    act(() => result.current.command({ do: 'rename', name: 'Mast' }));
    vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    await act(async () => {
      document.dispatchEvent(new Event('visibilitychange'));
    });
    expect(asked).toHaveLength(1);
  });
});
