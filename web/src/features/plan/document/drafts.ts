import type { Plan } from './model';

/** What was changed and is not saved yet, kept by the browser until it is. */
export interface Draft {
  /** The version that was changed. */
  version: number;
  plan: Plan;
}

const PREFIX = 'eskiz.draft.';

export function keepDraft(planId: string, draft: Draft): void {
  try {
    localStorage.setItem(PREFIX + planId, JSON.stringify(draft));
  } catch {
    // a full store: the change is still on the sheet and will be saved to the server
  }
}

export function forgetDraft(planId: string): void {
  localStorage.removeItem(PREFIX + planId);
}

/** The draft of a plan; null when there is none, or none that can be read. */
export function draftOf(planId: string): Draft | null {
  try {
    const draft = JSON.parse(localStorage.getItem(PREFIX + planId) ?? 'null') as Draft | null;
    return draft && typeof draft.version === 'number' && draft.plan?.document ? draft : null;
  } catch {
    return null;
  }
}
