import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { STOP, useWalk } from './useWalk';

const commands = vi.fn();

function Run() {
  const walk = useWalk(3, commands);
  return (
    <ol onKeyDown={walk.onKeyDown}>
      {['radio side', 'middle', 'antenna side'].map((name, i) => (
        <li key={name} onFocus={() => walk.setCurrent(i)}>
          <button {...{ [STOP]: i }} tabIndex={i === walk.current ? 0 : -1}>
            {name}
          </button>
          <input aria-label={`of ${name}`} tabIndex={-1} />
        </li>
      ))}
    </ol>
  );
}

/** The hook moves the focus once the list has been drawn. */
const drawn = () => new Promise((done) => requestAnimationFrame(() => done(null)));

describe('the list of elements', () => {
  beforeEach(() => {
    commands.mockReset();
    render(<Run />);
  });
  afterEach(cleanup);

  it('has one focus, which walks', async () => {
    await userEvent.tab();
    expect(document.activeElement?.textContent).toBe('radio side');
    await userEvent.keyboard('{ArrowRight}');
    await drawn();
    expect(document.activeElement?.textContent).toBe('middle');
    await userEvent.keyboard('{End}{ArrowRight}');
    await drawn();
    expect(document.activeElement?.textContent).toBe('antenna side');
    await userEvent.keyboard('{Home}');
    await drawn();
    expect(document.activeElement?.textContent).toBe('radio side');
    expect(commands).not.toHaveBeenCalled();
  });

  it('carries an element along with Alt, and no further than the ends', async () => {
    await userEvent.tab();
    await userEvent.keyboard('{Alt>}{ArrowLeft}{/Alt}');
    expect(commands).not.toHaveBeenCalled();
    await userEvent.keyboard('{Alt>}{ArrowRight}{/Alt}');
    expect(commands).toHaveBeenCalledWith({ do: 'moveElement', from: 0, to: 1 });
  });

  it('takes an element out with Delete, and leaves keys in a field alone', async () => {
    screen.getByLabelText('of middle').focus();
    await userEvent.keyboard('{Delete}{ArrowRight}');
    expect(commands).not.toHaveBeenCalled();
    screen.getByText('middle').focus();
    await userEvent.keyboard('{Delete}');
    expect(commands).toHaveBeenCalledWith({ do: 'removeElement', element: 1 });
  });
});
