// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Decision, Ledger } from '../../../api';
import { answering, Problem } from '../../../testing/answers';
import { joint, line, planOfRun } from '../../../testing/plans';
import { onSheet, rowOf } from '../../../testing/sheet';
import type { Plan, Requirement } from '../document/model';
import type { Sheet } from '../sheetContext';
import { Choosing } from './Choosing';
import { Decisions } from './Decisions';
import { Relaxations } from './Relaxations';

const commands = (sheet: Sheet) => vi.mocked(sheet.command).mock.calls.map(([c]) => c);

afterEach(cleanup);

describe('the choice', () => {
  const row = rowOf({
    id: 'foam-10',
    name: 'Foam 10',
    assignment: [
      { element: 1, source: { cableKey: 'foam-10', pieceId: null, candidateId: null } },
    ] as never,
  });
  const run = [joint(), line(), joint({ id: 'k' })];
  const CHOICE = 'POST /api/plans/{id}/decisions';

  const choosing = (change: Partial<Sheet> = {}, answers: object = { [CHOICE]: () => ({}) }) => {
    const sheet = onSheet(<Choosing row={row} />, {
      plan: planOfRun(run),
      saveNow: vi.fn(() => Promise.resolve(7)),
      ...change,
    });
    return { sheet, asked: answering(answers as never) };
  };

  it('is kept with its reason, for the plan as it was saved, and laid into the run', async () => {
    const { sheet, asked } = choosing();
    await userEvent.click(screen.getByText('Choose this cable'));
    await userEvent.type(screen.getByLabelText('Why Foam 10?'), '  It is on the shelf. ');
    await userEvent.click(screen.getByText('Keep the choice'));
    await waitFor(() => expect(commands(sheet)).toHaveLength(1));
    expect(asked[0]).toMatchObject({
      path: '/api/plans/{id}/decisions',
      params: { id: 'p1' },
      body: { planVersion: 7, rowId: 'foam-10', reason: 'It is on the shelf.' },
    });
    const [laid] = commands(sheet);
    expect(laid).toMatchObject({ do: 'pick' });
    expect(laid?.do === 'pick' && laid.run[1]).toMatchObject({ id: 'l', cableKey: 'foam-10' });
    expect(screen.getByText('Choose this cable')).toBeTruthy();
    expect(screen.getByRole('status').textContent).toContain('Foam 10 is chosen');
  });

  it('is not kept where the plan could not be saved first, and the reason stays', async () => {
    const { sheet, asked } = choosing({ saveNow: vi.fn(() => Promise.resolve(null)) });
    await userEvent.click(screen.getByText('Choose this cable'));
    await userEvent.type(screen.getByLabelText('Why Foam 10?'), 'Cheap.');
    await userEvent.click(screen.getByText('Keep the choice'));
    expect((await screen.findByRole('alert')).textContent).toContain('could not be saved first');
    expect(asked).toEqual([]);
    expect(commands(sheet)).toEqual([]);
    expect(screen.getByLabelText<HTMLTextAreaElement>('Why Foam 10?').value).toBe('Cheap.');
  });

  it('that the server does not take says why, and lays nothing', async () => {
    const { sheet } = choosing({}, { [CHOICE]: () => new Problem(409, 'The plan was changed') });
    await userEvent.click(screen.getByText('Choose this cable'));
    await userEvent.click(screen.getByText('Keep the choice'));
    expect((await screen.findByRole('alert')).textContent).toBe('Not kept: The plan was changed.');
    expect(commands(sheet)).toEqual([]);
  });

  it('can be left, and is begun by one key and kept by another', async () => {
    const { sheet } = choosing();
    await userEvent.click(screen.getByText('Choose this cable'));
    expect(document.activeElement).toBe(screen.getByLabelText('Why Foam 10?'));
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByLabelText('Why Foam 10?')).toBeNull();
    await userEvent.click(screen.getByText('Choose this cable'));
    await userEvent.keyboard('Light.{Control>}{Enter}{/Control}');
    await waitFor(() => expect(commands(sheet)).toHaveLength(1));
  });

  it('is not made on old figures', () => {
    choosing({ stale: true });
    expect(screen.getByText<HTMLButtonElement>('Choose this cable').disabled).toBe(true);
  });

  it('of the same cable is made again', () => {
    choosing({ chosen: 'foam-10' });
    expect(screen.getByText('Choose it again')).toBeTruthy();
  });
});

describe('what was chosen', () => {
  const decision = (change: Partial<Decision> = {}): Decision =>
    ({
      id: 'd1',
      rowId: 'foam-10',
      cableName: 'Foam 10',
      reason: 'It is on the shelf.',
      decidedAt: '2030-05-04T10:00:00Z',
      withdrawnAt: null,
      figures: rowOf(),
      ...change,
    }) as Decision;

  it('is nothing where nothing was', () => {
    onSheet(<Decisions />);
    expect(screen.queryByRole('region', { name: 'choices' })).toBeNull();
  });

  it('is told with its reason, and can be withdrawn', async () => {
    onSheet(<Decisions />, { decisions: [decision()] });
    const asked = answering({
      'POST /api/plans/{id}/decisions/{decision}/withdrawal': () => ({}),
    });
    expect(screen.getByText('“It is on the shelf.”')).toBeTruthy();
    await userEvent.click(screen.getByText('Withdraw this choice'));
    expect(asked[0]?.params).toEqual({ id: 'p1', decision: 'd1' });
  });

  it('and withdrawn is struck out, and not withdrawn again', () => {
    onSheet(<Decisions />, { decisions: [decision({ withdrawnAt: '2030-05-05T10:00:00Z' })] });
    expect(screen.getByText('Foam 10').closest('li')?.className).toContain('line-through');
    expect(screen.queryByText('Withdraw this choice')).toBeNull();
  });
});

describe('what to ask less of', () => {
  const requirements: Requirement[] = [
    { kind: 'LEAST_POWER', powerW: 40 },
    { kind: 'SUN' },
    { kind: 'BUDGET', cost: 50, currency: 'EUR' },
  ];
  const eased = (requirement: number, kind: string, asked: number | null, to: number | null) => ({
    requirement,
    kind,
    asked,
    to,
  });
  const plan = (): Plan => {
    const bare = planOfRun([line()]);
    return { ...bare, document: { ...bare.document, requirements } };
  };
  const asking = (...ways: object[]) =>
    onSheet(<Relaxations ledger={{ relaxations: ways } as unknown as Ledger} />, { plan: plan() });

  it('is nothing where something gets through', () => {
    asking();
    expect(screen.queryByText('Nothing gets through.')).toBeNull();
  });

  it('is done by one press, on the side that is really enough', async () => {
    const sheet = asking({ name: 'Foam 10', eased: [eased(0, 'LEAST_POWER', 40, 33.3333)] });
    await userEvent.click(screen.getByText('Do that'));
    expect(commands(sheet)).toEqual([
      { do: 'easeAsked', to: new Map([[0, { kind: 'LEAST_POWER', powerW: 33.3 }]]) },
    ]);
  });

  it('gives up what has no number, and asks more of what costs', async () => {
    const sheet = asking({
      name: 'Foam 10',
      eased: [eased(1, 'SUN', null, null), eased(2, 'BUDGET', 50, 81.234)],
    });
    await userEvent.click(screen.getByText('Do that'));
    expect(commands(sheet)).toEqual([
      {
        do: 'easeAsked',
        to: new Map<number, Requirement>([
          [1, { kind: 'SUN', off: true }],
          [2, { kind: 'BUDGET', cost: 81.3, currency: 'EUR' }],
        ]),
      },
    ]);
  });

  it('lists every way', () => {
    asking(
      { name: 'Foam 10', eased: [eased(0, 'LEAST_POWER', 40, 33)] },
      { name: 'RG-213', eased: [eased(2, 'BUDGET', 50, 81)] },
    );
    expect(screen.getAllByText('Do that')).toHaveLength(2);
  });
});
