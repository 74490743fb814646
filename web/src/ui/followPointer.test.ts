import { afterEach, describe, expect, it, vi } from 'vitest';
import { followPointer } from './followPointer';

const at = (type: string, clientX: number) =>
  window.dispatchEvent(new MouseEvent(type, { clientX }));

function press(clientX: number) {
  const move = vi.fn();
  const drop = vi.fn();
  followPointer({ clientX } as React.PointerEvent, move, drop);
  return { move, drop };
}

describe('a pressed pointer', () => {
  afterEach(() => vi.useRealTimers());

  it('is followed wherever it goes until it is let go', () => {
    const { move, drop } = press(100);
    at('pointermove', 130);
    at('pointermove', -40);
    expect(move.mock.calls).toEqual([[30], [-140]]);
    at('pointerup', -40);
    expect(drop).toHaveBeenCalledWith(true);
    at('pointermove', 500);
    expect(move).toHaveBeenCalledTimes(2);
  });

  it('that hardly moves remains a click', () => {
    const { move, drop } = press(100);
    at('pointermove', 103);
    at('pointerup', 103);
    expect(move).not.toHaveBeenCalled();
    expect(drop).toHaveBeenCalledWith(false);
  });

  it('drags nothing when the system takes it away', () => {
    const { drop } = press(100);
    at('pointermove', 150);
    at('pointercancel', 150);
    expect(drop).toHaveBeenCalledWith(false);
  });

  it('does not click on what it was dragged to', () => {
    vi.useFakeTimers();
    const clicked = vi.fn();
    document.body.addEventListener('click', clicked);
    press(100);
    at('pointermove', 150);
    at('pointerup', 150);
    document.body.click();
    expect(clicked).not.toHaveBeenCalled();
    vi.runAllTimers();
    document.body.click();
    expect(clicked).toHaveBeenCalledTimes(1);
    document.body.removeEventListener('click', clicked);
  });
});
