// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useUndo } from './useUndo';

function useCounted() {
  const [value, setValue] = useState('a');
  return { value, ...useUndo(value, setValue) };
}

describe('undo of a sheet', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('goes back a step and forth again', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.change('b'));
    vi.advanceTimersByTime(5000);
    act(() => result.current.change('c'));
    act(() => result.current.undo());
    expect(result.current.value).toBe('b');
    act(() => result.current.undo());
    expect(result.current.value).toBe('a');
    expect(result.current.canUndo).toBe(false);
    act(() => result.current.redo());
    expect(result.current.value).toBe('b');
  });

  it('takes a burst of typing as one step', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.change('ab'));
    act(() => result.current.change('abc'));
    act(() => result.current.undo());
    expect(result.current.value).toBe('a');
  });

  it('forgets what was undone once something else is done', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.change('b'));
    act(() => result.current.undo());
    act(() => result.current.change('x'));
    expect(result.current.canRedo).toBe(false);
    act(() => result.current.redo());
    expect(result.current.value).toBe('x');
  });
});
