// @vitest-environment jsdom
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Ledger as Answer } from '../../../api';
import { onSheet, rowOf, sheetOf } from '../../../testing/sheet';
import { Ledger } from './Ledger';
import { LedgerBar } from './LedgerBar';
import { LedgerList } from './LedgerList';
import { OwnFigure } from './OwnFigure';
import { StaleLine } from './StaleLine';

const usual = sheetOf().address;

const ledger = {
  presentRowId: 'rg-58',
  relaxations: [],
  rows: [
    rowOf(),
    rowOf({ id: 'foam-10', name: 'Foam 10', cost: null, mass: null }),
    rowOf({ id: 'rg-6', name: 'RG-6', suitability: 'OTHER_IMPEDANCE' as never }),
    rowOf({ id: 'foam-5', name: 'Foam 5', verdict: 'FAIL' }),
  ],
} as unknown as Answer;

const names = () =>
  screen.getAllByRole('rowheader').map((h) => h.querySelector('button')?.textContent);

describe('the ledger', () => {
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it('has lines of every kind in the order of the ledger, marked where they are of another', () => {
    onSheet(<Ledger />, { ledger });
    expect(names().filter(Boolean)).toEqual([
      'RG-58picked, in the run',
      'Foam 10',
      'RG-6of another impedance',
      'Foam 5',
    ]);
  });

  it('says what stands for something, and what is not known', () => {
    onSheet(<Ledger />, { ledger, chosen: 'foam-10' });
    const row = (name: string) => screen.getByRole('button', { name }).closest('tr') as HTMLElement;
    expect(row('RG-58').textContent).toContain('in the run');
    expect(row('Foam 10').textContent).toContain('chosen');
    expect(within(row('Foam 10')).getByText('not known')).toBeTruthy();
  });

  it('is walked by the arrow keys', async () => {
    const sheet = onSheet(<Ledger />, { ledger });
    screen.getByRole('button', { name: 'RG-58' }).focus();
    await userEvent.keyboard('{ArrowDown}');
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Foam 10' }));
    expect(sheet.pointRow).toHaveBeenLastCalledWith('foam-10');
    expect(sheet.pickRow).not.toHaveBeenCalled();
    await userEvent.keyboard('{Enter}');
    expect(sheet.pickRow).toHaveBeenCalledWith('foam-10');
  });

  it('draws the row that is pointed at', async () => {
    const sheet = onSheet(<Ledger />, { ledger });
    await userEvent.hover(screen.getByRole('button', { name: 'Foam 10' }));
    expect(sheet.pointRow).toHaveBeenLastCalledWith('foam-10');
  });

  it('opens a row to its reasons, and keeps it in sight', async () => {
    const sheet = onSheet(<Ledger />, { ledger });
    await userEvent.click(screen.getByRole('button', { name: 'more about Foam 5' }));
    expect(screen.getByText('A figure of your own.')).toBeTruthy();
    await userEvent.click(screen.getByText('Pin it'));
    await userEvent.click(screen.getByText('Read the others against it'));
    expect(vi.mocked(sheet.address.sift).mock.calls).toEqual([
      [{ pinned: ['foam-5'] }],
      [{ base: 'foam-5' }],
    ]);
    expect(sheet.pickRow).not.toHaveBeenCalled();
  });

  it('tells how many rows are hidden, and shows them again', async () => {
    const filter = { ...usual.filter, find: 'foam' };
    const sheet = onSheet(<Ledger />, { ledger, address: { ...usual, filter } });
    await userEvent.click(screen.getByText('Show all'));
    expect(sheet.address.sift).toHaveBeenCalledWith({ find: '', hideFailing: false });
  });

  it('brings a band into focus by its head', async () => {
    const sheet = onSheet(<Ledger />, { ledger });
    await userEvent.click(screen.getByRole('button', { name: /^70 cm/ }));
    expect(sheet.focusBand).toHaveBeenCalledWith(1);
  });

  it('on a phone is a list', async () => {
    const sheet = onSheet(<LedgerList />, { ledger });
    await userEvent.click(screen.getByRole('button', { name: 'Foam 10' }));
    expect(sheet.pickRow).toHaveBeenCalledWith('foam-10');
    expect(screen.getByText('no price')).toBeTruthy();
  });
});

describe('the bar above it', () => {
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it('changes the view, and keeps the ledger out of the address', async () => {
    const sheet = onSheet(<LedgerBar />, { address: { ...usual, view: 'reach' } });
    await userEvent.click(screen.getByText('Value'));
    await userEvent.click(screen.getByText('Ledger'));
    expect(vi.mocked(sheet.address.put).mock.calls).toEqual([
      [{ view: 'value' }],
      [{ view: undefined }],
    ]);
  });

  it('filters while one types, and lets go of it by Escape', async () => {
    const sheet = onSheet(<LedgerBar />, { ledger });
    await userEvent.type(screen.getByLabelText('filter cables'), 'fo{Escape}');
    expect(vi.mocked(sheet.address.sift).mock.calls.map(([c]) => c.find)).toEqual(['f', 'fo', '']);
  });

  it('opens what is added', async () => {
    const sheet = onSheet(<LedgerBar />, { ledger });
    await userEvent.click(screen.getByText('Try a mix'));
    await userEvent.click(screen.getByText('Add a figure of my own'));
    await userEvent.click(screen.getByText('Hide what fails'));
    expect(vi.mocked(sheet.address.put).mock.calls).toEqual([[{ mix: 'open' }], [{ own: 'new' }]]);
    expect(sheet.address.sift).toHaveBeenCalledWith({ hideFailing: true });
  });
});

describe('what is said of old figures', () => {
  afterEach(cleanup);

  it('is nothing while they are new', () => {
    onSheet(<StaleLine />);
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('is for which length they are, or why there are no newer ones', () => {
    onSheet(<StaleLine />, { stale: true });
    expect(screen.getByRole('status').textContent).toContain('Figures are still for');
    cleanup();
    onSheet(<StaleLine />, { stale: true, problem: 'The server is away.' });
    expect(screen.getByRole('status').textContent).toBe('The server is away.');
  });

  it('is an alert where there are none at all', () => {
    onSheet(<StaleLine />, { ledger: undefined, problem: 'bands must be given.' });
    expect(screen.getByRole('alert').textContent).toBe('bands must be given.');
  });
});

describe('the form for a figure of my own', () => {
  afterEach(cleanup);

  it('puts a cable into the plan and shows its row', async () => {
    const sheet = onSheet(<OwnFigure />, { address: { ...usual, own: 'new' } });
    await userEvent.clear(screen.getByLabelText('name'));
    await userEvent.type(screen.getByLabelText('name'), 'Loft');
    await userEvent.type(screen.getByLabelText('frequency of row 1, MHz'), '145');
    await userEvent.type(screen.getByLabelText('attenuation of row 1, dB per 100 m'), '9,5');
    await userEvent.click(screen.getByText('Add the row'));
    const [command] = vi.mocked(sheet.command).mock.calls[0] ?? [];
    expect(command).toMatchObject({ do: 'putOwnCable', cable: { name: 'Loft' } });
    expect(sheet.address.put).toHaveBeenCalledWith({
      row: (command as { cable: { id: string } }).cable.id,
      own: undefined,
    });
  });

  it('says what is wrong only once it is tried, and stores nothing', async () => {
    const sheet = onSheet(<OwnFigure />, { address: { ...usual, own: 'new' } });
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(screen.getByText('Add the row'));
    expect(screen.getByRole('alert').textContent).toContain('at least one row');
    expect(sheet.command).not.toHaveBeenCalled();
  });

  it('is left by Escape', async () => {
    const sheet = onSheet(<OwnFigure />, { address: { ...usual, own: 'new' } });
    await userEvent.type(screen.getByLabelText('name'), '{Escape}');
    expect(sheet.address.put).toHaveBeenCalledWith({ own: undefined });
  });
});
