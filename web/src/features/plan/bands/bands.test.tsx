// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { BandAssessment } from '../../../api';
import { line, planOfRun } from '../../../testing/plans';
import { onSheet, rowOf } from '../../../testing/sheet';
import type { Plan } from '../document/model';
import { bandsOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { AddBand } from './AddBand';
import { BandTabs } from './BandTabs';
import { FocusedBand } from './FocusedBand';
import { LoadFields } from './LoadFields';

const commands = (sheet: Sheet) => vi.mocked(sheet.command).mock.calls.map(([c]) => c);
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

function withBands(bands: NonNullable<Plan['document']['assessment']>['bands']): Plan {
  const plan = planOfRun([line()]);
  return {
    ...plan,
    document: { ...plan.document, assessment: { ...plan.document.assessment, bands } },
  };
}

afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('the tabs of the bands', () => {
  it('show what arrives on each, and focus the one that is pressed', async () => {
    const cells = [
      { totalLossDb: 3, powerAtAntennaW: 25.06, verdict: 'PASS' },
      { totalLossDb: 6, powerAtAntennaW: 12.56, verdict: 'FAIL' },
    ] as never;
    const sheet = onSheet(<BandTabs />, { row: rowOf({ cells }) });
    const strip = screen.getByRole('region', { name: 'bands' });
    expect(strip.textContent).toContain('25.1 W');
    const other = within(strip).getByRole('button', { name: /70 cm/ });
    expect(other.textContent).toContain('12.6 W');
    await userEvent.click(other);
    expect(sheet.focusBand).toHaveBeenCalledWith(1);
  });

  it('show the frequency and the antenna of what is not in focus', () => {
    onSheet(<BandTabs />);
    expect(screen.getByText('433 MHz · SWR 1.5')).toBeTruthy();
  });

  it('show a dash before the first answer, and where a run loses too much', () => {
    onSheet(<BandTabs />, { row: undefined });
    expect(screen.getAllByText('–')).toHaveLength(2);
    cleanup();
    const cells = [{ totalLossDb: null, powerAtAntennaW: null, verdict: 'FAIL' }] as never;
    onSheet(<BandTabs />, { row: rowOf({ cells }) });
    expect(screen.getAllByText('–')).toHaveLength(2);
  });

  it('show a share to a receiver, which has no watts', () => {
    const plan = planOfRun([line()]);
    const listening = {
      ...plan,
      document: { ...plan.document, assessment: { ...plan.document.assessment, radio: {} } },
    };
    const cells = [{ totalLossDb: 3, powerAtAntennaW: null, verdict: 'PASS' }] as never;
    onSheet(<BandTabs />, { plan: listening, row: rowOf({ cells }) });
    expect(screen.getByRole('region', { name: 'bands' }).textContent).toContain('50.1 %');
  });

  it('Rename the band in focus', async () => {
    const sheet = onSheet(<BandTabs />);
    const name = screen.getByLabelText('name of the band');
    await userEvent.clear(name);
    await userEvent.type(name, 'FM{Enter}');
    expect(commands(sheet)).toContainEqual({ do: 'renameBand', band: 0, name: 'FM' });
  });

  it('offer no more than a plan may have', () => {
    const many = Array.from({ length: 12 }, (_, i) => ({ id: `b${i}`, frequencyMHz: 10 + i }));
    onSheet(<BandTabs />, { plan: withBands(many) });
    expect(screen.queryByRole('button', { name: 'Add a band' })).toBeNull();
  });
});

describe('a band more', () => {
  it('is one of the region, put into focus', async () => {
    const sheet = onSheet(<AddBand />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a band' }));
    await userEvent.click(screen.getByRole('button', { name: '20 m' }));
    const [command] = commands(sheet);
    expect(command).toMatchObject({
      do: 'addBand',
      band: { name: '20 m', frequencyMHz: 14.2, matching: 'AT_RADIO' },
    });
    const id = command?.do === 'addBand' ? command.band.id : null;
    expect(sheet.address.put).toHaveBeenCalledWith({ band: id });
  });

  it('is not one that the region does not have', async () => {
    onSheet(<AddBand />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a band' }));
    expect(screen.queryByRole('button', { name: '1.25 m' })).toBeNull();
    expect(screen.getByRole('button', { name: 'PMR 446' })).toBeTruthy();
  });

  it('is a frequency of one’s own, above what there is', async () => {
    const sheet = onSheet(<AddBand />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a band' }));
    await userEvent.click(screen.getByText('Type a frequency of my own'));
    expect(commands(sheet)[0]).toMatchObject({ band: { frequencyMHz: 1296 } });
  });
});

describe('the band in focus', () => {
  const focused = (change: object = {}) => {
    const plan = planOfRun([line()]);
    const band = { ...bandsOf(plan)[0], ...change };
    return onSheet(<FocusedBand band={band} index={0} />, { plan });
  };

  it('takes its matching along to another frequency where that was the usual one', () => {
    const sheet = focused({ frequencyMHz: 145, matching: 'NONE' });
    type('frequency', '7.1');
    expect(commands(sheet).at(-1)).toMatchObject({
      do: 'setFrequency',
      band: 0,
      frequencyMHz: 7.1,
      matching: 'AT_RADIO',
    });
  });

  it('keeps a matching of its own', () => {
    const sheet = focused({ frequencyMHz: 145, matching: 'AT_ANTENNA' });
    type('frequency', '7100 kHz');
    expect(commands(sheet).at(-1)).toMatchObject({ frequencyMHz: 7.1, matching: 'AT_ANTENNA' });
  });

  it('says what is no frequency, and changes nothing', () => {
    const sheet = focused();
    type('frequency', 'high');
    expect(commands(sheet)).toEqual([]);
    const [place, message] = vi.mocked(sheet.trouble).mock.calls.at(-1) ?? [];
    expect(place).toBe('frequency');
    expect(message).toContain('high');
  });

  it('has a gain, and is taken out, after which the one before it is in focus', async () => {
    const plan = planOfRun([line()]);
    const band = bandsOf(plan)[1] ?? {};
    const sheet = onSheet(<FocusedBand band={band} index={1} />, { plan, focus: 1 });
    await userEvent.click(screen.getByRole('button', { name: 'more about 70 cm' }));
    type('antenna gain', '12');
    await userEvent.click(screen.getByText('Remove 70 cm'));
    expect(commands(sheet)).toEqual([
      { do: 'changeBand', band: 1, change: { antennaGainDbi: 12 } },
      { do: 'removeBand', band: 1 },
    ]);
    expect(sheet.focusBand).toHaveBeenCalledWith(0);
  });

  it('is not taken out where it is the only one', async () => {
    const plan = withBands([{ id: 'a', name: '2 m', frequencyMHz: 145 }]);
    const [band = {}] = bandsOf(plan);
    onSheet(<FocusedBand band={band} index={0} />, { plan });
    await userEvent.click(screen.getByRole('button', { name: 'more about 2 m' }));
    expect(screen.queryByText(/take .* out/)).toBeNull();
  });
});

describe('what is known of the antenna', () => {
  const assessment = { swrAtRadio: 1.33, swrAtAntenna: 1.5 } as BandAssessment;
  const fields = (load: object, change: Partial<Sheet> = {}) => {
    const onChange = vi.fn();
    onSheet(<LoadFields band={{ id: 'a', load }} index={0} onChange={onChange} />, {
      assessment,
      ...change,
    });
    return onChange;
  };

  it('is an SWR, beside what the other end shows', () => {
    const onChange = fields({ swr: 1.5 });
    expect(screen.getByText('= 1.33 at the radio')).toBeTruthy();
    type('SWR at the antenna', '2,5');
    expect(onChange).toHaveBeenCalledWith({ swr: 2.5 });
    cleanup();
    fields({ swrAtRadio: 1.33 });
    expect(screen.getByText('= 1.50 at the antenna')).toBeTruthy();
  });

  it('is a resistance and a reactance, each typed for itself', () => {
    const onChange = fields({ resistanceOhm: 40, reactanceOhm: -12 });
    type('antenna resistance', '36');
    type('antenna reactance', '-20');
    expect(onChange.mock.calls.flat()).toEqual([
      { resistanceOhm: 36, reactanceOhm: -12 },
      { resistanceOhm: 40, reactanceOhm: -20 },
    ]);
  });

  it('says so where nothing comes back from the far end', () => {
    fields({ swr: 2 }, { assessment: { ...assessment, swrAtRadio: null } as never });
    expect(screen.getByText('= ∞ at the radio')).toBeTruthy();
  });

  it('says nothing of the other end before the core has', () => {
    fields({ swr: 2 }, { assessment: undefined });
    expect(screen.queryByText(/^= /)).toBeNull();
  });
});
