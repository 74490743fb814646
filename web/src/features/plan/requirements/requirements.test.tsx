// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { line, planOfRun } from '../../../testing/plans';
import { onSheet } from '../../../testing/sheet';
import type { Plan, Requirement as AskedFor } from '../document/model';
import type { Sheet } from '../sheetContext';
import { Asked } from './Asked';

const commands = (sheet: Sheet) => vi.mocked(sheet.command).mock.calls.map(([c]) => c);

function asking(...requirements: AskedFor[]): Plan {
  const plan = planOfRun([line()]);
  return { ...plan, document: { ...plan.document, requirements } };
}

const section = () => screen.getByRole('region', { name: 'what is asked' });
const read = () => (section().textContent ?? '').replace(/\u00a0/g, ' ');

afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('what is asked', () => {
  it('is nothing at first, and says so', () => {
    onSheet(<Asked />, { plan: asking() });
    expect(read()).toContain('Nothing is asked.');
  });

  it('is a sentence with its number in it', () => {
    onSheet(<Asked />, { plan: asking({ kind: 'LEAST_POWER', powerW: 20 }) });
    expect(screen.getByLabelText<HTMLInputElement>(/^asked for: watts/).value).toBe('20');
    expect(read()).toContain('at the antenna on every band');
  });

  it('names the one band it is asked of', () => {
    onSheet(<Asked />, { plan: asking({ kind: 'LEAST_POWER', powerW: 20, bandId: 'b' }) });
    expect(read()).toContain('at the antenna on 70 cm');
  });

  it('takes another number while it is typed', () => {
    const asked = { kind: 'LEAST_POWER' as const, powerW: 20 };
    const sheet = onSheet(<Asked />, { plan: asking(asked) });
    fireEvent.change(screen.getByLabelText(/^asked for: watts/), { target: { value: '35 W' } });
    expect(commands(sheet)).toEqual([
      { do: 'changeAsked', asked: 0, to: { ...asked, powerW: 35 } },
    ]);
  });

  it('says what is no number, and keeps what was asked', () => {
    const sheet = onSheet(<Asked />, { plan: asking({ kind: 'LEAST_POWER', powerW: 20 }) });
    fireEvent.change(screen.getByLabelText(/^asked for: watts/), { target: { value: 'many' } });
    expect(commands(sheet)).toEqual([]);
    expect(vi.mocked(sheet.trouble).mock.calls.at(-1)?.[0]).toBe('asked 0');
  });

  it('of a margin reads as one would say it', () => {
    onSheet(<Asked />, { plan: asking({ kind: 'LEAST_POWER_MARGIN', margin: 2 }) });
    expect(read()).toMatch(/heat borne at least\s*times\s*on every band/);
  });

  it('of the cold is typed in the operator’s degrees', () => {
    onSheet(
      <Asked />,
      { plan: asking({ kind: 'COLDEST_UNROLLING', temperatureC: -10 }) },
      {},
      { temperatures: 'FAHRENHEIT' },
    );
    expect(screen.getByLabelText<HTMLInputElement>(/^asked for: unrolling/).value).toBe('14');
    expect(read()).toContain('°F');
  });
});

describe('a requirement opens', () => {
  const opened = async (asked: AskedFor) => {
    const sheet = onSheet(<Asked />, { plan: asking(asked) });
    await userEvent.click(screen.getByRole('button', { name: /^about “/ }));
    return sheet;
  };

  it('to be asked of one band', async () => {
    const sheet = await opened({ kind: 'MOST_LOSS', lossDb: 2 });
    await userEvent.selectOptions(screen.getByLabelText('band it is asked of'), '70 cm');
    expect(commands(sheet)).toEqual([
      { do: 'changeAsked', asked: 0, to: { kind: 'MOST_LOSS', lossDb: 2, bandId: 'b' } },
    ]);
  });

  it('to be asked of every band again', async () => {
    const sheet = await opened({ kind: 'MOST_LOSS', lossDb: 2, bandId: 'b' });
    await userEvent.selectOptions(screen.getByLabelText('band it is asked of'), 'every band');
    expect(commands(sheet)).toEqual([
      { do: 'changeAsked', asked: 0, to: { kind: 'MOST_LOSS', lossDb: 2, bandId: undefined } },
    ]);
  });

  it('to be put aside, and taken up again', async () => {
    const sheet = await opened({ kind: 'SUN' });
    await userEvent.click(screen.getByText('Put it aside'));
    expect(commands(sheet)).toEqual([
      { do: 'changeAsked', asked: 0, to: { kind: 'SUN', off: true } },
    ]);
    cleanup();
    const again = await opened({ kind: 'SUN', off: true });
    await userEvent.click(screen.getByText('Ask it again'));
    expect(commands(again)).toEqual([
      { do: 'changeAsked', asked: 0, to: { kind: 'SUN', off: undefined } },
    ]);
  });

  it('to be dropped', async () => {
    const sheet = await opened({ kind: 'SUN' });
    await userEvent.click(screen.getByText('Remove it'));
    expect(commands(sheet)).toEqual([{ do: 'dropAsked', asked: 0 }]);
    expect(screen.queryByText('Remove it')).toBeNull();
  });

  it('to say how much of the run hangs on the mast', async () => {
    const sheet = await opened({ kind: 'MOST_MASS_ON_MAST', massKg: 2, mastM: 10 });
    fireEvent.change(screen.getByLabelText('length on the mast'), { target: { value: '12' } });
    expect(commands(sheet).at(-1)).toMatchObject({ to: { mastM: 12 } });
  });

  it('to say which sockets its connectors must fit', async () => {
    const sheet = await opened({ kind: 'CONNECTORS' });
    await userEvent.selectOptions(screen.getByLabelText('socket of the radio'), 'n');
    expect(commands(sheet).at(-1)).toMatchObject({ to: { radioSocketKey: 'n' } });
    await userEvent.selectOptions(screen.getByLabelText('socket of the antenna'), 'uhf');
    expect(commands(sheet).at(-1)).toMatchObject({ to: { antennaSocketKey: 'uhf' } });
  });
});

describe('something more', () => {
  const offered = async (change: Partial<Sheet> = {}) => {
    const sheet = onSheet(<Asked />, { plan: asking(), ...change });
    await userEvent.click(screen.getByRole('button', { name: 'ask for something more' }));
    return sheet;
  };

  it('begins with a number that is usual for it', async () => {
    const sheet = await offered();
    await userEvent.click(screen.getByRole('button', { name: 'a budget' }));
    expect(commands(sheet)[0]).toMatchObject({
      do: 'askMore',
      requirement: { kind: 'BUDGET', currency: 'EUR' },
    });
  });

  it('has nothing about watts for a receiver', async () => {
    await offered();
    expect(screen.getByRole('button', { name: 'watts that arrive' })).toBeTruthy();
    cleanup();
    await offered({ hasWatts: false });
    expect(screen.queryByRole('button', { name: 'watts that arrive' })).toBeNull();
    expect(screen.getByRole('button', { name: 'penalty on receive' })).toBeTruthy();
  });
});
