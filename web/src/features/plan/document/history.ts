import type { Command } from './commands';
import { apply, burstOf, isStroke } from './commands';
import { rebased } from './merging';
import type { Plan } from './model';

/** A plan with what it was before and what was undone. */
export interface History {
  past: Plan[];
  present: Plan;
  future: Plan[];
  /** The burst that the last command belongs to, and when it came, ms. */
  burst: { key: string; at: number } | null;
}

export type HistoryAction =
  | { type: 'command'; command: Command; at: number }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'replace'; plan: Plan }
  | { type: 'rebase'; base: Plan; theirs: Plan };

/** A pause longer than this ends a burst of typing. */
const BURST_PAUSE_MS = 1500;

/** Nobody undoes further back, and every step holds a plan. */
const MOST_STEPS = 200;

export function historyOf(plan: Plan): History {
  return { past: [], present: plan, future: [], burst: null };
}

export function historyReducer(history: History, action: HistoryAction): History {
  switch (action.type) {
    case 'command':
      return after(history, action.command, action.at);
    case 'undo':
      return undone(history);
    case 'redo':
      return redone(history);
    case 'replace':
      return historyOf(action.plan);
    case 'rebase':
      return onto(history, action.base, action.theirs);
  }
}

function after(history: History, command: Command, at: number): History {
  const present = apply(history.present, command);
  if (JSON.stringify(present) === JSON.stringify(history.present)) return history;
  const key = burstOf(command);
  const isSame = key !== null && history.burst?.key === key;
  const goesOn = isSame && (isStroke(command) || at - (history.burst?.at ?? 0) <= BURST_PAUSE_MS);
  const past = goesOn ? history.past : [...history.past, history.present].slice(-MOST_STEPS);
  return { past, present, future: [], burst: key === null ? null : { key, at } };
}

/** The same steps on what somebody else has saved: going back takes back what was done here, and nothing of theirs. */
function onto({ past, present, future }: History, base: Plan, theirs: Plan): History {
  const step = (plan: Plan) => rebased(base, plan, theirs);
  return { past: past.map(step), present: step(present), future: future.map(step), burst: null };
}

function undone(history: History): History {
  const before = history.past.at(-1);
  if (!before) return history;
  return {
    past: history.past.slice(0, -1),
    present: before,
    future: [history.present, ...history.future],
    burst: null,
  };
}

function redone(history: History): History {
  const [next, ...rest] = history.future;
  if (!next) return history;
  return { past: [...history.past, history.present], present: next, future: rest, burst: null };
}
