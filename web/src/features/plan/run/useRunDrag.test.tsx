// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { joint, line } from '../../../testing/plans';
import type { Command } from '../document/commands';
import { slotsOf } from './ribbonLayout';
import { useRunDrag } from './useRunDrag';

const run = [joint(), line(), joint({ id: 'k' })];
const slots = slotsOf(run, 600);
const widthPx = 600 - 3 * 48;

function press(target: Element = document.body, button = 0): React.PointerEvent {
  return { clientX: 100, button, target, preventDefault: vi.fn() } as never;
}

function pointer(type: string, clientX: number) {
  act(() => {
    const event = new Event(type);
    Object.assign(event, { clientX });
    window.dispatchEvent(event);
  });
}

function dragging() {
  const commands: Command[] = [];
  const hook = renderHook(() => useRunDrag(run, slots, (c) => commands.push(c)));
  return { commands, drag: () => hook.result.current };
}

describe('an element that is carried', () => {
  afterEach(() => {
    cleanup();
    document.body.innerHTML = '';
  });

  it('is shown on its way, and moves when it is let go', () => {
    const { commands, drag } = dragging();
    act(() => drag().carry(0, press()));
    expect(drag().isDragging).toBe(false);
    pointer('pointermove', 700);
    expect(drag().carried).toMatchObject({ index: 0, byPx: 600, target: 2 });
    expect(drag().isDragging).toBe(true);
    expect(commands).toEqual([]);
    pointer('pointerup', 700);
    expect(commands).toEqual([{ do: 'moveElement', from: 0, to: 2 }]);
    expect(drag().isDragging).toBe(false);
  });

  it('stays where it was when it comes back, and after a tremble', () => {
    const { commands, drag } = dragging();
    act(() => drag().carry(0, press()));
    pointer('pointermove', 700);
    pointer('pointermove', 100);
    pointer('pointerup', 100);
    act(() => drag().carry(0, press()));
    pointer('pointermove', 103);
    pointer('pointerup', 103);
    expect(commands).toEqual([]);
  });

  it('stays where it was when the pointer is taken away', () => {
    const { commands, drag } = dragging();
    act(() => drag().carry(0, press()));
    pointer('pointermove', 700);
    pointer('pointercancel', 700);
    expect(commands).toEqual([]);
    expect(drag().carried).toBeNull();
  });

  it.each(['<input>', '<div role="group"><span></span></div>'])(
    'is not taken by its %s',
    (html) => {
      document.body.innerHTML = html;
      const { drag } = dragging();
      act(() => drag().carry(0, press(document.querySelector('input, span') as Element)));
      pointer('pointermove', 700);
      expect(drag().carried).toBeNull();
    },
  );

  it('is taken by the first button only', () => {
    const { drag } = dragging();
    act(() => drag().carry(0, press(document.body, 2)));
    pointer('pointermove', 700);
    expect(drag().carried).toBeNull();
  });
});

describe('a line that is drawn longer', () => {
  afterEach(cleanup);

  it('takes a length at every step, all of them one step back', () => {
    const { commands, drag } = dragging();
    act(() => drag().stretch(1, press()));
    pointer('pointermove', 100 + widthPx / 4);
    pointer('pointermove', 100 + widthPx / 2);
    pointer('pointerup', 100 + widthPx / 2);
    expect(commands.map((c) => (c.do === 'setLength' ? c.lengthM : null))).toEqual([25, 30]);
    const strokes = new Set(commands.map((c) => (c.do === 'setLength' ? c.stroke : null)));
    expect(strokes.size).toBe(1);
  });

  it('keeps to a tenth of a metre, and to a tenth at least', () => {
    const { commands, drag } = dragging();
    act(() => drag().stretch(1, press()));
    pointer('pointermove', 100 + 0.123 * widthPx);
    pointer('pointermove', 100 - 2 * widthPx);
    expect(commands.map((c) => (c.do === 'setLength' ? c.lengthM : null))).toEqual([22.5, 0.1]);
  });

  it('stands still otherwise while it is drawn', () => {
    const { drag } = dragging();
    act(() => drag().stretch(1, press()));
    pointer('pointermove', 150);
    expect(drag().slots[0]).toEqual(slots[0]);
    expect(drag().slots[1]?.width).toBeCloseTo((slots[1]?.width ?? 0) + 50);
    pointer('pointerup', 150);
    expect(drag().slots).toBe(slots);
  });

  it('is no joint', () => {
    const { commands, drag } = dragging();
    act(() => drag().stretch(0, press()));
    pointer('pointermove', 300);
    expect(commands).toEqual([]);
  });
});
