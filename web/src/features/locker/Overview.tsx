import { Link } from 'react-router';
import type { PieceSearch, Schemas } from '../../api';
import { usePieces } from '../../api';
import { standingReason } from '../../words';

/** As many reasons as anybody reads at once. */
const MOST_TOLD = 8;

/** As many that have aged well as are worth a word. */
const MOST_PRAISED = 3;

/** What is failing, due, out and retired, with reasons; each count narrows the list to it. */
export function Overview({
  counts,
  demo,
  standing,
  onStanding,
}: {
  counts: Schemas['LockerOverviewResponse'];
  demo: PieceSearch['demo'];
  standing: PieceSearch['standing'] | null;
  onStanding: (standing: PieceSearch['standing'] | null) => void;
}) {
  const first = { demo, order: 'URGENCY' } as const;
  const urgent =
    usePieces({ ...first, standing: 'NEEDS_A_HAND', limit: MOST_TOLD }).data?.items ?? [];
  const wellAged =
    usePieces({ ...first, standing: 'WELL_AGED', limit: MOST_PRAISED }).data?.items ?? [];
  const inNeed = counts.failing + counts.due;
  return (
    <aside
      aria-label="overview"
      className="shrink-0 overflow-y-auto border-hairline px-4.5 py-3 max-[899px]:border-t min-[900px]:w-[300px]"
    >
      <h2 className="mb-2 text-lead font-bold">
        {inNeed === 0
          ? 'Nothing needs a hand today.'
          : `${inNeed} of ${counts.pieces} need a hand.`}
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
        {urgent.map((p) => (
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
      {inNeed > MOST_TOLD && (
        <p className="mt-2 text-fine text-soft">And {inNeed - MOST_TOLD} more.</p>
      )}
      {wellAged.map((p) => (
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
