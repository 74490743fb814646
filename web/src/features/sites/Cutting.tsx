import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api, useCableTypes } from '../../api';
import { usePreferences } from '../../app/preferences';
import { lengthText } from '../../units';
import { siteSentences } from '../../words';
import { CutReel } from '../locker';
import type { Begun, OfCable, SiteCut } from './cutting';
import { begunReels, cutsByCable, isOutdated, withCut, withWhatIsCut } from './cutting';
import type { PartProps } from './SitePage';

/** Where a cable is sold by the metre, one length of all that is cut of it. */
function byTheMetre(of: OfCable): number {
  return of.cuts.reduce((sum, c) => sum + c.lengthM, 0);
}

/** What is cut from which reel for all runs: planned once, kept, done step by step, and put into the locker. */
export function Cutting({ site, sheet, document, change }: PartProps & { site: string }) {
  const types = useCableTypes();
  const needed = cutsByCable(sheet.runs);
  const kept = document.cutting?.reels ?? [];
  const plan = useMutation({
    mutationFn: async () => {
      const reels: Begun[] = [];
      for (const of of needed) {
        const type = (types.data ?? []).find((t) => t.key === of.cableKey);
        const offer = (document.offers ?? []).find((o) => o.cableKey === of.cableKey);
        const answer = await answered(
          api.POST('/api/locker/cut-plans', {
            body: {
              cuts: of.cuts.map((c) => ({ name: c.name, lengthM: c.lengthM })),
              reels: (document.reels ?? [])
                .filter((r) => r.cableKey === of.cableKey)
                .map((r) => ({ name: r.name, lengthM: r.lengthM })),
              soldInM: offer?.lengthM ?? type?.soldInM ?? byTheMetre(of),
            },
          }),
        );
        reels.push(...begunReels(of, answer));
      }
      return reels;
    },
    onSuccess: (fresh) =>
      change((now) => ({
        ...now,
        cutting: { reels: withWhatIsCut(fresh, now.cutting?.reels ?? []) },
      })),
  });
  const done = kept.flatMap((r) => r.cuts).filter((c) => c.done).length;
  const all = kept.flatMap((r) => r.cuts).length;
  const pieces = kept.flatMap((r) => r.cuts).flatMap((c) => c.pieceId ?? []);
  const isOld = kept.length > 0 && isOutdated(kept, needed);
  const longestM = Math.max(1, ...kept.map((r) => r.lengthM));
  return (
    <section aria-label="cutting" className="flex flex-col gap-2">
      <h2 className="font-bold">Cutting</h2>
      {kept.length === 0 && (
        <p className="text-soft">No cut is planned yet. {siteSentences.cuttingFrom}</p>
      )}
      {isOld && (
        <p role="status" className="text-marginal">
          The runs have changed since this was planned
          {done > 0 ? `, and ${done} of it are cut` : ''}.
        </p>
      )}
      {(kept.length === 0 || isOld) && needed.length > 0 && (
        <button
          type="button"
          className="action self-start print:hidden"
          disabled={plan.isPending || types.data === undefined}
          onClick={() => plan.mutate()}
        >
          {kept.length === 0 ? 'Plan the cuts' : 'Plan the cuts anew'}
        </button>
      )}
      {plan.error && (
        <p role="alert" className="text-fail">
          {plan.error.message}
        </p>
      )}
      {all > 0 && (
        <p>
          <span role="status">
            {done} of {all} cut.
          </span>{' '}
          {pieces.length > 0 && (
            <Link
              className="quiet print:hidden"
              to={`/locker/labels?pieces=${encodeURIComponent(pieces.join(' '))}`}
            >
              Print their labels
            </Link>
          )}
        </p>
      )}
      <ol aria-label="reels" className="flex flex-col gap-3">
        {kept.map((reel, i) => (
          <KeptReel
            key={`${reel.name} ${i}`}
            reel={reel}
            longestM={longestM}
            stepOf={(cut) => (
              <CutStep
                site={site}
                reel={reel}
                cut={cut}
                onChange={(to) => change((now) => withCut(now, to))}
              />
            )}
          />
        ))}
      </ol>
    </section>
  );
}

function KeptReel({
  reel,
  longestM,
  stepOf,
}: {
  reel: Begun;
  longestM: number;
  stepOf: (cut: SiteCut) => React.ReactNode;
}) {
  const usedM = reel.cuts.reduce((sum, c) => sum + c.lengthM, 0);
  return (
    <CutReel
      reel={{ ...reel, bought: false, leftM: Math.max(0, reel.lengthM - usedM) }}
      longestM={longestM}
      stepOf={(i) => reel.cuts[i] && stepOf(reel.cuts[i])}
    />
  );
}

/** One cut: ticked when it is done, then put into the locker as a piece. */
function CutStep({
  site,
  reel,
  cut,
  onChange,
}: {
  site: string;
  reel: Begun;
  cut: SiteCut;
  onChange: (to: SiteCut) => void;
}) {
  const queries = useQueryClient();
  const { lengths } = usePreferences();
  const keep = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      await answered(
        api.POST('/api/locker/pieces', {
          body: {
            id,
            label: `${site}, ${cut.name}`,
            lengthM: cut.lengthM,
            ...(reel.cableKey && { cableKey: reel.cableKey }),
          },
        }),
      );
      return id;
    },
    onSuccess: (pieceId) => {
      onChange({ ...cut, done: true, pieceId });
      void queries.invalidateQueries({ queryKey: ['locker'] });
    },
  });
  return (
    <span className="ml-2 inline-flex flex-wrap items-baseline gap-x-3 print:hidden">
      <label className="inline-flex items-baseline gap-1 max-[899px]:min-h-11">
        <input
          type="checkbox"
          aria-label={`${cut.name} is cut, ${lengthText(cut.lengthM, lengths)}`}
          checked={cut.done === true}
          onChange={(e) => onChange({ ...cut, done: e.target.checked })}
        />
        cut
      </label>
      {cut.pieceId ? (
        <Link className="quiet" to={`/locker/${cut.pieceId}`}>
          in the locker
        </Link>
      ) : (
        cut.done && (
          <button
            type="button"
            className="quiet"
            disabled={keep.isPending}
            onClick={() => keep.mutate()}
          >
            Put it into the locker
          </button>
        )
      )}
      {keep.error && (
        <span role="alert" className="text-fail">
          {keep.error.message}
        </span>
      )}
    </span>
  );
}
