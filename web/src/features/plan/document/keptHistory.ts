import type { History } from './history';
import { historyOf } from './history';
import type { Plan } from './model';
import { canonical } from './model';

/** As many steps as are kept over a reload. */
const MOST_KEPT = 30;

const PREFIX = 'eskiz.undo.';

/** Keeps the steps of a plan for this window, so that they outlive a reload. */
export function keepHistory(planId: string, { past, present, future }: History): void {
  try {
    const kept = { past: past.slice(-MOST_KEPT), present, future: future.slice(0, MOST_KEPT) };
    sessionStorage.setItem(PREFIX + planId, JSON.stringify(kept));
  } catch {
    // a full store: undo ends at the reload
  }
}

/** The steps around a plan as they were kept; none where the plan is another one by now. */
export function keptHistory(planId: string, plan: Plan): History {
  try {
    const kept = JSON.parse(sessionStorage.getItem(PREFIX + planId) ?? 'null') as History | null;
    return kept && canonical(kept.present) === canonical(plan)
      ? { ...historyOf(plan), past: kept.past, future: kept.future }
      : historyOf(plan);
  } catch {
    return historyOf(plan);
  }
}
