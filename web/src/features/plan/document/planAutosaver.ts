import type { StoredPlan } from '../../../api';
import type { Save } from '../../../app/autosaver';
import { Autosaver } from '../../../app/autosaver';
import { merged } from './merging';
import type { Plan } from './model';
import { canonical, planOf } from './model';

const EDITABLE = {
  of: planOf,
  saysTheSame: (one: Plan, other: Plan) => canonical(one) === canonical(other),
  merged: (base: Plan, mine: Plan, theirs: Plan) => {
    const both = merged(base, mine, theirs);
    return both && { both: both.plan, theirs: both.theirs };
  },
};

/** Saves a plan by itself; what others change in other parts of it is taken over. */
export class PlanAutosaver extends Autosaver<Plan, StoredPlan> {
  constructor(
    stored: Plan,
    version: number,
    savedAt: number,
    save: Save<Plan, StoredPlan>,
    isBaseKnown = true,
  ) {
    super(EDITABLE, stored, version, savedAt, save, isBaseKnown);
  }
}
