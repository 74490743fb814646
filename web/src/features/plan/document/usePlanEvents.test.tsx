// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { usePlanEvents } from './usePlanEvents';

/** Stands in for the stream of the server. */
class Told extends EventTarget {
  static readonly CLOSED = 2;
  static all: Told[] = [];
  readyState = 1;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    super();
    Told.all.push(this);
  }
  close() {
    this.readyState = Told.CLOSED;
  }
  tell(what: string, event: object) {
    act(() => {
      this.dispatchEvent(new MessageEvent(what, { data: JSON.stringify(event) }));
    });
  }
}

const told = { onStored: vi.fn(), onChosen: vi.fn() };
const newest = () => Told.all.at(-1) as Told;

beforeEach(() => {
  Told.all = [];
  vi.stubGlobal('EventSource', Told);
  vi.clearAllMocks();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

it('tells what is stored and chosen, and who is here', () => {
  const { result } = renderHook(() => usePlanEvents('p1', told));
  expect(newest().url).toBe('/api/plans/p1/events');
  newest().tell('look', { version: 3 });
  newest().tell('saved', { version: 4, by: 'Wren' });
  expect(told.onStored.mock.calls).toEqual([
    [3, null],
    [4, 'Wren'],
  ]);
  newest().tell('chosen', {});
  expect(told.onChosen).toHaveBeenCalledTimes(1);
  newest().tell('here', { others: [{ id: 'w', name: 'Wren' }] });
  expect(result.current).toEqual([{ id: 'w', name: 'Wren' }]);
});

it('begins again after it was refused, and knows of nobody meanwhile', () => {
  vi.useFakeTimers();
  const { result } = renderHook(() => usePlanEvents('p1', told));
  newest().tell('here', { others: [{ id: 'w', name: 'Wren' }] });
  newest().close();
  act(() => newest().onerror?.());
  expect(result.current).toEqual([]);
  vi.advanceTimersByTime(20_000);
  expect(Told.all).toHaveLength(2);
});

it('does not listen from behind other windows, nor when it is gone', () => {
  const visibility = vi.spyOn(document, 'visibilityState', 'get');
  const { unmount } = renderHook(() => usePlanEvents('p1', told));
  visibility.mockReturnValue('hidden');
  document.dispatchEvent(new Event('visibilitychange'));
  expect(newest().readyState).toBe(Told.CLOSED);
  visibility.mockReturnValue('visible');
  document.dispatchEvent(new Event('visibilitychange'));
  expect(Told.all).toHaveLength(2);
  unmount();
  expect(newest().readyState).toBe(Told.CLOSED);
});
