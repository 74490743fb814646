import { usePreferences } from '../../../app/preferences';
import { lengthText } from '../../../units';
import { candidateLengthM } from '../document/model';
import { useSheet } from '../sheetContext';

/** Says that the figures are old, and why, or that there are none. */
export function StaleLine() {
  const { plan, ledger, stale, problem } = useSheet();
  const { lengths } = usePreferences();
  if (problem !== null && !ledger) {
    return (
      <p role="alert" className="px-4 py-6 text-fail">
        {problem}
      </p>
    );
  }
  if (!stale || !ledger) return null;
  return (
    <p role="status" className="shrink-0 border-b border-hairline px-4 py-1 text-marginal">
      {problem ??
        `Figures are still for ${lengthText(candidateLengthM(plan), lengths)}, as last understood.`}
    </p>
  );
}
