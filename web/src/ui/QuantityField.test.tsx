import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { lengthFigure, lengthText } from '../units';
import { KeptFor } from './kept';
import { QuantityField } from './QuantityField';

const commits = vi.fn();

function Field({
  start,
  unit = 'm',
  take,
}: {
  start: number;
  unit?: 'm' | 'ft';
  take?: () => void;
}) {
  const [value, setValue] = useState(start);
  return (
    <>
      <QuantityField
        label="length"
        kind="length"
        unit={unit}
        unitLabel={unit}
        value={value}
        show={(v) => lengthFigure(v, unit)}
        say={(v) => lengthText(v, unit)}
        step={{ small: 0.1, large: 1 }}
        otherUnit={take && { typedAs: /ft/, offer: 'Show feet everywhere', take }}
        onCommit={(v) => {
          commits(v);
          setValue(v);
        }}
      />
      <button onClick={() => setValue(start)}>undo</button>
    </>
  );
}

const field = () => screen.getByRole<HTMLInputElement>('spinbutton', { name: 'length' });

describe('a quantity that is typed', () => {
  afterEach(() => {
    cleanup();
    commits.mockReset();
  });

  it('commits nothing when it is only visited', async () => {
    render(<Field start={39.62} unit="ft" />);
    await userEvent.click(field());
    await userEvent.tab();
    expect(field().value).toBe('129.99');
    expect(commits).not.toHaveBeenCalled();
  });

  it('commits what can be used while it is typed, and tidies up when it is left', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '130 ft');
    expect(commits).toHaveBeenLastCalledWith(39.624);
    expect(field().value).toBe('130 ft');
    await userEvent.tab();
    expect(field().value).toBe('39.624');
  });

  it('keeps what cannot be used, says why, and commits none of it', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'x');
    await userEvent.tab();
    expect(field().value).toBe('x');
    expect(screen.getByRole('alert').textContent).toContain('“x” is not understood');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(commits).not.toHaveBeenCalled();
  });

  it('says the range with the value', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '12km');
    expect(screen.getByRole('alert').textContent).toBe(
      '12000 m is out of range: from 0 m to 10000 m.',
    );
  });

  it('echoes what could have been meant otherwise', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '1,500');
    expect(screen.getByRole('status').textContent).toBe('1.5 m?');
    expect(commits).toHaveBeenLastCalledWith(1.5);
  });

  it('gives way to a value from elsewhere', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '31');
    await userEvent.click(screen.getByText('undo'));
    expect(field().value).toBe('20');
  });

  it('reads a bare number in the unit of its button', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '100');
    await userEvent.click(screen.getByRole('button', { name: 'unit of length: m' }));
    expect(commits).toHaveBeenLastCalledWith(30.48);
    expect(field().value).toBe('100');
    await userEvent.click(screen.getByRole('button', { name: 'unit of length: ft' }));
    expect(field().value).toBe('100');
  });

  it('shows a value that nobody edits in the unit of its button, and commits nothing', async () => {
    render(<Field start={30.48} />);
    await userEvent.click(screen.getByRole('button', { name: 'unit of length: m' }));
    expect(field().value).toBe('100');
    expect(commits).not.toHaveBeenCalled();
  });

  it('steps to the next round number by the arrow keys', async () => {
    render(<Field start={20.04} />);
    await userEvent.type(field(), '{ArrowUp}');
    expect(field().value).toBe('20.1');
    await userEvent.type(field(), '{Shift>}{ArrowUp}{/Shift}');
    expect(field().value).toBe('21');
    await userEvent.type(field(), '{ArrowDown}');
    expect(field().value).toBe('20.9');
  });

  it('keeps what is half-typed for its owner until it can be used', async () => {
    const half = (
      <KeptFor value="plan 7">
        <Field start={20} />
      </KeptFor>
    );
    render(half);
    await userEvent.clear(field());
    await userEvent.type(field(), 'x 3');
    cleanup();
    render(half);
    expect(field().value).toBe('x 3');
    await userEvent.type(field(), '{Escape}');
    cleanup();
    render(half);
    expect(field().value).toBe('20');
  });

  it('goes back to the value on Escape', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'x{Escape}');
    expect(field().value).toBe('20');
  });

  it('asks back what could be meant otherwise, and takes the other by a press', async () => {
    render(<Field start={20} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '1,500');
    expect(screen.getByText('1.5 m?')).toBeTruthy();
    await userEvent.click(screen.getByText('1500 m was meant'));
    expect(commits).toHaveBeenLastCalledWith(1500);
  });

  it('leads on by Enter only with what can be used, and keeps the focus without it', async () => {
    const onEnter = vi.fn();
    render(
      <QuantityField
        label="power"
        kind="power"
        unit="w"
        unitLabel="W"
        value={5}
        show={String}
        say={String}
        onCommit={commits}
        onEnter={onEnter}
      />,
    );
    const power = screen.getByLabelText<HTMLInputElement>('power');
    await userEvent.clear(power);
    await userEvent.type(power, 'much{Enter}');
    expect(onEnter).not.toHaveBeenCalled();
    expect(document.activeElement).toBe(power);
    expect(power.getAttribute('aria-describedby')).toBeTruthy();
    await userEvent.clear(power);
    await userEvent.type(power, '50{Enter}');
    expect(onEnter).toHaveBeenCalledOnce();
  });

  it('offers the unit that was typed for everything', async () => {
    const take = vi.fn();
    render(<Field start={5} take={take} />);
    const length = screen.getByLabelText('length');
    await userEvent.clear(length);
    await userEvent.type(length, '150 ft');
    await userEvent.click(screen.getByText('Show feet everywhere'));
    expect(take).toHaveBeenCalledOnce();
  });
});
