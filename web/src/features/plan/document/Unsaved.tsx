import { PlanConflict } from './PlanConflict';
import type { PlanEditing } from './usePlanEditing';

/** What stands between this plan and its being saved: nothing is lost, and nothing is overwritten. */
export function Unsaved({ editing }: { editing: PlanEditing }) {
  const { state } = editing;
  if (state.kind === 'refused') {
    return (
      <p role="alert" className="border-b border-fail px-4 py-2 text-fail">
        Not saved: {state.problem.detail}.
      </p>
    );
  }
  if (state.kind !== 'changedElsewhere') return null;
  return (
    <PlanConflict
      mine={editing.plan}
      current={state.current}
      onKeep={editing.keep}
      onTheirs={editing.takeTheirs}
    />
  );
}
