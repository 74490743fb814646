import { Link } from 'react-router';
import type { Piece } from '../../api';
import { standingReason } from '../../words';
import type { Asked, counted } from './locker';

/** As many reasons as anybody reads at once. */
const MOST_TOLD = 8;

/** What is failing, due, out and retired, with reasons; each count narrows the list to it. */
export function Overview({
  pieces,
  counts,
  standing,
  onStanding,
}: {
  pieces: readonly Piece[];
  counts: ReturnType<typeof counted>;
  standing: Asked['standing'];
  onStanding: (standing: Asked['standing']) => void;
}) {
  const worthAWord = pieces.filter((p) => p.reasons.some((r) => r.code === 'BETTER_THAN_ITS_AGE'));
  const urgent = pieces.filter((p) => p.standing === 'FAILING' || p.standing === 'DUE');
  if (pieces.length === 0) return null;
  return (
    <aside
      aria-label="overview"
      className="shrink-0 overflow-y-auto border-hairline px-4.5 py-3 max-[899px]:border-t min-[900px]:w-[300px]"
    >
      <h2 className="mb-2 text-lead font-bold">
        {counts.failing + counts.due === 0
          ? 'Nothing needs a hand today.'
          : `${counts.failing + counts.due} of ${pieces.length} need a hand.`}
      </h2>
      <p className="mb-3 flex flex-wrap gap-x-4 gap-y-1">
        {(
          [
            ['FAILING', counts.failing, 'failing'],
            ['DUE', counts.due, 'due'],
            ['OUT', counts.out, 'out'],
            ['RETIRED', counts.retired, 'retired'],
          ] as const
        ).map(([which, count, text]) => (
          <button
            key={which}
            type="button"
            aria-pressed={standing === which}
            disabled={count === 0}
            className={`quiet ${standing === which ? 'font-semibold underline' : ''}`}
            onClick={() => onStanding(standing === which ? null : which)}
          >
            <span className="figures">{count}</span> {text}
          </button>
        ))}
      </p>
      <ul className="flex flex-col gap-2 text-body">
        {urgent.slice(0, MOST_TOLD).map((p) => (
          <li key={p.id}>
            <Link to={`/locker/${p.id}`} className="font-semibold hover:text-blue hover:underline">
              {p.label}
            </Link>
            <span className="block text-fine text-soft">
              {p.reasons.map(standingReason).join(' ')}
            </span>
          </li>
        ))}
      </ul>
      {urgent.length > MOST_TOLD && (
        <p className="mt-2 text-fine text-soft">And {urgent.length - MOST_TOLD} more.</p>
      )}
      {worthAWord.map((p) => (
        <p key={p.id} className="mt-3 border-t border-hairline pt-2 text-fine">
          <Link to={`/locker/${p.id}`} className="font-semibold hover:text-blue hover:underline">
            {p.label}
          </Link>
          : {p.reasons.map(standingReason).join(' ')}
        </p>
      ))}
    </aside>
  );
}
