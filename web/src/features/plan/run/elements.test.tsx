// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { joint, line, planOfRun } from '../../../testing/plans';
import { onSheet } from '../../../testing/sheet';
import { runOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { ElementPanel } from './ElementPanel';
import { elementName } from './elements';
import { LengthField } from './LengthField';
import { RadioName, RadioPower } from './RadioBox';

const commands = (sheet: Sheet) => vi.mocked(sheet.command).mock.calls.map(([c]) => c);

async function opened(index: number, plan = planOfRun([joint(), line(), joint({ id: 'k' })])) {
  const element = runOf(plan)[index];
  if (!element) throw new Error(`there is no element ${index}`);
  const sheet = onSheet(<ElementPanel element={element} index={index} isStop />, { plan });
  await userEvent.click(screen.getByRole('button'));
  return sheet;
}

describe('an element of the run', () => {
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });

  it('tells what it is, where it stands, and opens to what can be done with it', async () => {
    await opened(1);
    expect(screen.getByRole('group').textContent).toContain('cable, 2 of 3 from the radio');
    expect(screen.getByText('Split in the middle')).toBeTruthy();
  });

  it('is moved toward either end, but not beyond', async () => {
    const sheet = await opened(0);
    expect(screen.getByText<HTMLButtonElement>('Move toward the radio').disabled).toBe(true);
    await userEvent.click(screen.getByText('Move toward the antenna'));
    expect(commands(sheet)).toEqual([{ do: 'moveElement', from: 0, to: 1 }]);
    expect(screen.queryByRole('group')).toBeNull();
  });

  it('is split, doubled and taken out', async () => {
    const sheet = await opened(1);
    await userEvent.click(screen.getByText('Split in the middle'));
    await userEvent.click(screen.getByRole('button'));
    await userEvent.click(screen.getByText('Duplicate'));
    await userEvent.click(screen.getByRole('button'));
    await userEvent.click(screen.getByText('Take out'));
    expect(commands(sheet)).toEqual([
      { do: 'splitLine', element: 1, atM: 10 },
      { do: 'duplicateElement', element: 1 },
      { do: 'removeElement', element: 1 },
    ]);
  });

  it('of the locker is neither split nor doubled', async () => {
    await opened(0, planOfRun([line({ pieceId: 'p', name: 'Quay 30', candidate: undefined })]));
    expect(screen.queryByText('Split in the middle')).toBeNull();
    expect(screen.queryByText('Duplicate')).toBeNull();
    expect(screen.getByText(/A piece of yours/)).toBeTruthy();
  });

  it('is offered to the ledger or taken from it', async () => {
    const sheet = await opened(1);
    await userEvent.click(screen.getByRole('checkbox'));
    expect(commands(sheet)).toEqual([{ do: 'offerLine', element: 1, offered: false }]);
  });

  it('has another connector by choosing one', async () => {
    const sheet = await opened(0);
    await userEvent.selectOptions(screen.getByLabelText('connector'), 'uhf');
    expect(commands(sheet)).toEqual([
      {
        do: 'changeElement',
        element: 0,
        to: { id: 'j', kind: 'JOINT', connectorKey: 'uhf', lossDb: undefined },
      },
    ]);
  });

  it('is charged the same at every joint, or a figure of its own', async () => {
    const sheet = await opened(0);
    await userEvent.selectOptions(screen.getByLabelText('loss of the joint'), 'flat');
    await userEvent.selectOptions(screen.getByLabelText('loss of the joint'), 'own');
    expect(commands(sheet)).toEqual([
      { do: 'chargeJoints', flatLossDb: 0.2 },
      { do: 'changeElement', element: 0, to: { ...joint(), lossDb: 0.2 } },
    ]);
  });
});

describe('what an element is called', () => {
  const named = {
    catalogue: [{ key: 'rg-58', name: 'RG-58' }] as never,
    connectors: [{ key: 'uhf', name: 'UHF (PL-259)' }] as never,
    cableName: 'Foam 10',
    isPresent: false,
  };

  it.each([
    [line(), 'Foam 10'],
    [line({ candidate: undefined }), 'RG-58'],
    [line({ candidate: undefined, cableKey: 'gone' }), 'gone'],
    [joint({ connectorKey: 'uhf' }), 'UHF'],
    [joint({ connectorKey: undefined }), 'joint'],
    [{ kind: 'DEVICE' as const, name: 'arrestor' }, 'arrestor'],
    [{ kind: 'DEVICE' as const }, 'device'],
    [{ kind: 'TRANSFORMER' as const, impedanceRatio: 4 }, '4:1'],
  ])('%j is %j', (element, name) => {
    expect(elementName(element, named)).toBe(name);
  });

  it('is its own piece where that lies in the run', () => {
    const piece = line({ pieceId: 'p', name: 'Quay 30' });
    expect(elementName(piece, named)).toBe('Foam 10');
    expect(elementName(piece, { ...named, isPresent: true })).toBe('Quay 30');
  });
});

describe('a length', () => {
  afterEach(cleanup);

  it('is typed, and what is no length is told', () => {
    const element = line() as never;
    const sheet = onSheet(<LengthField element={element} index={0} label="length" />);
    const field = screen.getByLabelText('length');
    fireEvent.change(field, { target: { value: '31,5' } });
    expect(commands(sheet).at(-1)).toEqual({ do: 'setLength', element: 0, lengthM: 31.5 });
    fireEvent.change(field, { target: { value: 'far' } });
    const [place, message] = vi.mocked(sheet.trouble).mock.calls.at(-1) ?? [];
    expect(place).toBe('length 0');
    expect(message).toContain('far');
  });
});

describe('the radio', () => {
  afterEach(cleanup);

  it('changes for every band, or for the one that has a radio of its own', () => {
    const all = onSheet(<RadioPower className="" />);
    fireEvent.change(screen.getByLabelText('radio power'), { target: { value: '10' } });
    expect(commands(all).at(-1)).toEqual({ do: 'changeRadio', change: { powerW: 10 } });
    cleanup();
    const plan = planOfRun();
    const own = { ...plan.document.assessment?.bands?.[0], powerW: 5 };
    const one = onSheet(<RadioPower className="" />, { plan, band: own });
    fireEvent.change(screen.getByLabelText('radio power'), { target: { value: '20 W' } });
    expect(commands(one).at(-1)).toEqual({ do: 'changeBand', band: 0, change: { powerW: 20 } });
  });

  it('that only listens can be made to send, and one that sends to listen', async () => {
    const plan = planOfRun();
    const listening = {
      ...plan,
      document: { ...plan.document, assessment: { ...plan.document.assessment, radio: {} } },
    };
    const receiver = onSheet(<RadioName className="" />, { plan: listening });
    await userEvent.click(screen.getByRole('button', { name: 'about the receiver' }));
    await userEvent.click(screen.getByText(/Make it send, too/));
    expect(commands(receiver)).toEqual([{ do: 'changeRadio', change: { powerW: 10, duty: 0.25 } }]);
    cleanup();
    const sender = onSheet(<RadioName className="" />);
    await userEvent.click(screen.getByRole('button', { name: 'about the radio' }));
    await userEvent.selectOptions(screen.getByLabelText('mode'), '0.25');
    await userEvent.click(screen.getByText('Make it listen only'));
    expect(commands(sender)).toEqual([
      { do: 'changeRadio', change: { duty: 0.25 } },
      { do: 'changeRadio', change: { powerW: undefined } },
    ]);
  });
});
