import type { BenchOutcome } from '../../api';
import { VerdictMark, verdictColour } from '../../ui';
import { OUTCOME_VERDICT, OUTCOME_WORDS } from '../../words';

/** An outcome by its shape, colour and word. */
export function OutcomeMark({ outcome }: { outcome: BenchOutcome | null }) {
  if (!outcome) return <span className="text-soft">–</span>;
  const verdict = OUTCOME_VERDICT[outcome];
  if (!verdict) {
    return (
      <span className="inline-flex items-center gap-1 whitespace-nowrap text-soft">
        <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true" className="shrink-0">
          <circle
            cx="6"
            cy="6"
            r="4.4"
            fill="none"
            stroke="currentColor"
            strokeWidth="1.4"
            strokeDasharray="2 2"
          />
        </svg>
        {OUTCOME_WORDS[outcome]}
      </span>
    );
  }
  return (
    <span className={`inline-flex items-center gap-1 whitespace-nowrap ${verdictColour(verdict)}`}>
      <VerdictMark verdict={verdict} spoken={false} />
      {OUTCOME_WORDS[outcome]}
    </span>
  );
}
