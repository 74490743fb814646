import type { BenchFigure } from '../../api';
import { OpensInPlace } from '../../ui';
import { fixed } from '../../units';
import { capital, UNCERTAINTY_WORDS } from '../../words';

type Uncertainty = BenchFigure['uncertainty'];

/** Between what and what a loss lies; opened, from what that comes, the largest first, and what would make it smaller. */
export function Interval({
  at,
  leastDb,
  mostDb,
  uncertainty,
}: {
  /** Where it was read, for whoever cannot see the row. */
  at: string;
  leastDb: number;
  mostDb: number;
  uncertainty: Uncertainty;
}) {
  const text = `${fixed(leastDb, 2)} to ${fixed(mostDb, 2)}`;
  if (uncertainty.terms.length === 0) {
    return <span className="text-small text-soft">{text}</span>;
  }
  return (
    <OpensInPlace
      label={`${text} dB: how sure the loss at ${at} is`}
      text={text}
      width={340}
      className="figures text-small text-soft underline decoration-dotted underline-offset-2"
    >
      {() => <Budget uncertainty={uncertainty} />}
    </OpensInPlace>
  );
}

function Budget({ uncertainty }: { uncertainty: Uncertainty }) {
  const largest = uncertainty.terms.toSorted((a, b) => b.expandedDb - a.expandedDb);
  const [first] = largest;
  if (!first) return null;
  return (
    <div className="flex flex-col gap-1.5 font-sans text-fine whitespace-normal">
      <p>Give or take {fixed(uncertainty.expandedDb, 2)} dB, from:</p>
      <ul>
        {largest.map((t) => (
          <li key={t.source} className="flex items-baseline gap-2">
            <span className="figures w-14 shrink-0">± {fixed(t.expandedDb, 2)}</span>
            <span
              aria-hidden="true"
              className="h-2 shrink-0 bg-control"
              style={{ width: `${(60 * t.expandedDb) / first.expandedDb}px` }}
            />
            {UNCERTAINTY_WORDS[t.source].what}
          </li>
        ))}
      </ul>
      <p>
        {capital(UNCERTAINTY_WORDS[first.source].remedy)}. Without that term ±{' '}
        {fixed(first.withoutDb, 2)} dB would be left.
      </p>
      <p className="text-soft">
        They are independent, so they add in squares; 95 in 100 lie within.
      </p>
    </div>
  );
}
