import { describe, expect, it } from 'vitest';
import { apply } from './commands';
import { historyOf, historyReducer } from './history';
import { merged, rebased } from './merging';
import type { Plan } from './model';
import { newPlan } from './presets';

const base = newPlan();
const named = (plan: Plan, name: string): Plan => ({ ...plan, name });
const asked = (plan: Plan, powerW: number): Plan => ({
  ...plan,
  document: {
    ...plan.document,
    assessment: { ...plan.document.assessment, radio: { powerW } },
  },
});

describe('two versions of a plan', () => {
  it('become one where each changed another part', () => {
    expect(merged(base, named(base, 'Mast'), asked(base, 25))).toEqual({
      plan: named(asked(base, 25), 'Mast'),
      theirs: ['radio'],
    });
  });

  it('are theirs where nothing was changed here', () => {
    expect(merged(base, base, named(base, 'Theirs'))?.plan).toEqual(named(base, 'Theirs'));
  });

  it('are one where both did the same', () => {
    expect(merged(base, named(base, 'Mast'), named(base, 'Mast'))?.plan.name).toBe('Mast');
  });

  it('wait for a decision where both changed one part', () => {
    expect(merged(base, named(base, 'Mine'), named(base, 'Theirs'))).toBeNull();
  });

  it('wait for one where something here belongs to no part', () => {
    const strange = { ...base, document: { ...base.document, somethingNew: 1 } } as Plan;
    expect(merged(base, strange, named(base, 'Theirs'))).toBeNull();
  });
});

it('a step of one’s own is the same step on what they have saved', () => {
  expect(rebased(base, asked(base, 5), named(base, 'Theirs'))).toEqual(
    asked(named(base, 'Theirs'), 5),
  );
});

it('going back takes back what was done here, and nothing of theirs', () => {
  const mine = historyReducer(historyOf(base), {
    type: 'command',
    command: { do: 'rename', name: 'Mast' },
    at: 0,
  });
  const on = historyReducer(mine, { type: 'rebase', base, theirs: asked(base, 25) });
  expect(on.present).toEqual(asked(apply(base, { do: 'rename', name: 'Mast' }), 25));
  expect(historyReducer(on, { type: 'undo' }).present).toEqual(asked(base, 25));
});
