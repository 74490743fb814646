import type { Piece } from '../../api';
import { VerdictMark, verdictColour } from '../../ui';
import { STANDING_VERDICT, STANDING_WORDS } from '../../words';

/** How a piece stands, by shape, colour and word. */
export function StandingMark({ standing }: { standing: Piece['standing'] }) {
  if (standing === 'RETIRED') {
    return (
      <span className="inline-flex items-center gap-1 text-soft">
        <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
          <path d="M1.5 6h9" stroke="currentColor" strokeWidth="1.4" />
        </svg>
        {STANDING_WORDS.RETIRED}
      </span>
    );
  }
  const verdict = STANDING_VERDICT[standing];
  return (
    <span className={`inline-flex items-center gap-1 ${verdictColour(verdict)}`}>
      <VerdictMark verdict={verdict} spoken={false} />
      {STANDING_WORDS[standing]}
    </span>
  );
}
