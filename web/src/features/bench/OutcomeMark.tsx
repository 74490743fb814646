import type { BenchOutcome } from '../../api';
import { VerdictMark, verdictColour } from '../../ui';
import { OUTCOME_VERDICT, OUTCOME_WORDS } from '../../words';

/** An outcome by its shape, colour and word. */
export function OutcomeMark({ outcome }: { outcome: BenchOutcome | null }) {
  if (!outcome) return <span className="text-soft">–</span>;
  const verdict = OUTCOME_VERDICT[outcome];
  return (
    <span className={`inline-flex items-center gap-1 whitespace-nowrap ${verdictColour(verdict)}`}>
      <VerdictMark verdict={verdict} spoken={false} />
      {OUTCOME_WORDS[outcome]}
    </span>
  );
}
