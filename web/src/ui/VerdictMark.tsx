import type { Verdict } from '../api';
import { words } from '../words';

const COLOURS: Record<Verdict, string> = {
  PASS: 'text-pass',
  MARGINAL: 'text-marginal',
  FAIL: 'text-fail',
};

/** A verdict by shape and colour: full, half, hollow. Its word stands beside it, or is read out. */
export function VerdictMark({ verdict, spoken = true }: { verdict: Verdict; spoken?: boolean }) {
  return (
    <svg
      viewBox="0 0 12 12"
      width="12"
      height="12"
      className={`inline-block shrink-0 ${COLOURS[verdict]}`}
      {...(spoken
        ? { role: 'img', 'aria-label': words.verdict[verdict] }
        : { 'aria-hidden': true })}
    >
      <circle
        cx="6"
        cy="6"
        r="4.4"
        fill={verdict === 'PASS' ? 'currentColor' : 'none'}
        stroke="currentColor"
        strokeWidth="1.4"
      />
      {verdict === 'MARGINAL' && <path d="M6 1.6a4.4 4.4 0 0 0 0 8.8z" fill="currentColor" />}
    </svg>
  );
}

export function verdictColour(verdict: Verdict): string {
  return COLOURS[verdict];
}
