// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { DEFAULTS, PreferencesProvider } from '../../app/preferences';
import { answering } from '../../testing/answers';
import { sheetOf } from '../../testing/sheet';
import type { Sheet } from './sheetContext';
import { useSheetShortcuts } from './useSheetShortcuts';

function atSheet(change: Partial<Sheet> = {}, settings: Partial<typeof DEFAULTS> = {}) {
  const sheet = sheetOf(change);
  const editing = { undo: vi.fn(), redo: vi.fn() };
  const asked = answering({ 'PUT /api/settings': (body) => body });
  const client = new QueryClient();
  client.setQueryData(['settings'], { ...DEFAULTS, ...settings });
  renderHook(() => useSheetShortcuts(sheet, editing as never), {
    wrapper: ({ children }) => (
      <QueryClientProvider client={client}>
        <PreferencesProvider>{children}</PreferencesProvider>
      </QueryClientProvider>
    ),
  });
  const reading = () => client.getQueryData<typeof DEFAULTS>(['settings'])?.reading;
  return { sheet, editing, asked, reading };
}

const key = (name: string, more: object = {}) =>
  fireEvent.keyDown(document.body, { key: name, ...more });

describe('the keys of the sheet', () => {
  afterEach(() => {
    cleanup();
    localStorage.clear();
    document.body.innerHTML = '';
  });

  it('go to the band before and after, and stop at the ends', () => {
    const { sheet } = atSheet();
    [']', 'PageDown', '[', 'PageUp'].forEach((name) => key(name));
    expect(vi.mocked(sheet.focusBand).mock.calls.flat()).toEqual([1, 1, 0, 0]);
    cleanup();
    const last = atSheet({ focus: 1 });
    key(']');
    key('[');
    expect(vi.mocked(last.sheet.focusBand).mock.calls.flat()).toEqual([1, 0]);
  });

  it('undo and redo, whichever way one is used to', () => {
    const { editing } = atSheet();
    key('z', { ctrlKey: true });
    key('Z', { ctrlKey: true, shiftKey: true });
    key('y', { ctrlKey: true });
    key('z', { metaKey: true });
    expect(editing.undo).toHaveBeenCalledTimes(2);
    expect(editing.redo).toHaveBeenCalledTimes(2);
  });

  it('read the figures another way, and never in watts where none are sent', () => {
    const sends = atSheet();
    key('u');
    expect(sends.reading()).toBe('PERCENT');
    cleanup();
    const listens = atSheet({ hasWatts: false }, { reading: 'S_UNITS' });
    key('u');
    expect(listens.reading()).toBe('PERCENT');
  });

  it('choose the cable where one can be chosen', () => {
    atSheet();
    const chosen = vi.fn();
    key('c');
    document.body.innerHTML = '<button data-shortcut="choose">Choose this cable</button>';
    document.querySelector('button')?.addEventListener('click', chosen);
    key('c');
    expect(chosen).toHaveBeenCalledTimes(1);
  });

  it('are letters while one types', () => {
    const { sheet, editing } = atSheet();
    document.body.innerHTML = '<input>';
    const input = document.querySelector('input') as HTMLElement;
    fireEvent.keyDown(input, { key: ']' });
    fireEvent.keyDown(input, { key: 'z', ctrlKey: true });
    expect(sheet.focusBand).not.toHaveBeenCalled();
    expect(editing.undo).not.toHaveBeenCalled();
  });

  it('are none where letters are switched off, but for those that are no letters', () => {
    const { sheet, reading } = atSheet({}, { letterShortcuts: false });
    key('u');
    key(']');
    expect(reading()).toBe('WATTS');
    expect(sheet.focusBand).not.toHaveBeenCalled();
    key('PageDown');
    expect(sheet.focusBand).toHaveBeenCalledWith(1);
  });
});
