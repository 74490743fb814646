import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { OpensInPlace } from './OpensInPlace';

const opener = () => screen.getByRole('button', { name: 'about the radio' });

function show() {
  render(
    <>
      <OpensInPlace label="about the radio" text="radio">
        {(close) => (
          <>
            <input aria-label="power" />
            <button onClick={close}>done</button>
          </>
        )}
      </OpensInPlace>
      <button>elsewhere</button>
    </>,
  );
}

describe('what opens in place', () => {
  afterEach(cleanup);

  it('opens by its button with the focus inside, and Tab leads on through it', async () => {
    show();
    expect(screen.queryByRole('group')).toBeNull();
    await userEvent.click(opener());
    expect(opener().getAttribute('aria-expanded')).toBe('true');
    expect(document.activeElement).toBe(screen.getByLabelText('power'));
    await userEvent.tab();
    expect(document.activeElement).toBe(screen.getByText('done'));
  });

  it('closes on Escape and by itself, with the focus back on its button', async () => {
    show();
    await userEvent.click(opener());
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('group')).toBeNull();
    expect(document.activeElement).toBe(opener());
    await userEvent.click(opener());
    await userEvent.click(screen.getByText('done'));
    expect(screen.queryByRole('group')).toBeNull();
    expect(document.activeElement).toBe(opener());
  });

  it('closes on a press elsewhere, and not on one inside', async () => {
    show();
    await userEvent.click(opener());
    await userEvent.click(screen.getByLabelText('power'));
    expect(screen.queryByRole('group')).not.toBeNull();
    await userEvent.click(screen.getByText('elsewhere'));
    expect(screen.queryByRole('group')).toBeNull();
  });
});
