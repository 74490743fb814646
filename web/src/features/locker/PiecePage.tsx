import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { PieceLife } from '../../api';
import { answered, api, useBenchTest, useCableTypes, usePiece } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useShortcuts } from '../../app/useShortcuts';
import { SaveDrawing, Sentence } from '../../ui';
import { lengthText, today } from '../../units';
import { capital, eventText, standingReason, testAgainText, trendSentence } from '../../words';
import { Changes } from './Changes';
import { LifeLine } from './LifeLine';
import { MovedBar } from './MovedBar';
import { PastOuting } from './PastOuting';
import { DeletePiece, EditPiece } from './PieceEditing';
import { PieceFacts } from './PieceFacts';
import { StandingMark } from './StandingMark';
import { useMoving } from './useMoving';

/** One piece: how it stands and why, its life on a line, and all that can be done to it. */
export function PiecePage() {
  const { id = '' } = useParams();
  const piece = usePiece(id);
  if (!piece.data) {
    return (
      <Shell>
        <main className="p-5">
          <p role="status">
            {piece.isError ? (
              <>
                {capital(piece.error.message)}. <Undelete id={id} />
              </>
            ) : (
              'Opening the piece …'
            )}
          </p>
        </main>
      </Shell>
    );
  }
  return <Sheet key={piece.data.summary.id} life={piece.data} />;
}

/** A piece that is not there may have been taken out of the locker; then it can be put back. */
function Undelete({ id }: { id: string }) {
  const queries = useQueryClient();
  const restore = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/locker/pieces/{id}/restore', { params: { path: { id } } })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['locker'] }),
  });
  return restore.isError ? (
    <Link className="quiet" to="/locker">
      To the locker
    </Link>
  ) : (
    <button type="button" className="quiet" onClick={() => restore.mutate()}>
      Put it back, if it was there
    </button>
  );
}

function Sheet({ life }: { life: PieceLife }) {
  const { summary, events, measured } = life;
  const { lengths } = usePreferences();
  const moving = useMoving();
  const [editing, setEditing] = useState(false);
  const drawn = useRef<HTMLDivElement>(null);
  useShortcuts({
    o: () => moving.go('TOOK_OUT', [summary]),
    p: () => moving.go('PUT_AWAY', [summary]),
  });
  return (
    <Shell here={summary.label}>
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="life"
          className="flex min-h-0 min-w-0 flex-1 flex-col overflow-y-auto min-[900px]:border-r min-[900px]:border-hairline"
        >
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-4 pt-3">
            <h1 className="text-title font-bold">{summary.label}</h1>
            <StandingMark standing={summary.standing} />
            <span className="text-soft">
              {summary.cableName ?? 'type not known'}, {lengthText(summary.lengthM, lengths)}
            </span>
          </div>
          <div className="px-4 py-1">
            {summary.reasons.map((r) => (
              <p key={r.code}>{standingReason(r)}</p>
            ))}
            {measured && <Likeness testId={measured.testId} cableKey={summary.cableKey} />}
            <p className="text-soft">
              <Sentence text={trendSentence(summary)} />
              {summary.testAgainOn !== null &&
                summary.testAgainOn > today() &&
                ` ${capital(testAgainText(summary) ?? '')}.`}
            </p>
          </div>
          <MovedBar moving={moving} />
          <div ref={drawn} className="px-2 py-2">
            <LifeLine piece={summary} events={events} today={today()} />
          </div>
          <p className="px-4 text-fine">
            <SaveDrawing name={`${summary.label}, life`} drawn={drawn} />
          </p>
          <Events events={events} />
        </section>
        <aside
          aria-label="about the piece"
          className="flex shrink-0 flex-col gap-3 overflow-y-auto px-4.5 py-3 max-[899px]:border-t max-[899px]:border-hairline min-[900px]:w-[340px]"
        >
          <span className="flex flex-wrap gap-x-4 gap-y-1">
            <button
              type="button"
              className="action"
              disabled={summary.standing === 'RETIRED'}
              onClick={() =>
                moving.go(summary.outSince === null ? 'TOOK_OUT' : 'PUT_AWAY', [summary])
              }
            >
              {summary.outSince === null ? 'Take it out' : 'Put it away'}
            </button>
            <Link className="quiet" to={`/bench/new?pieceId=${summary.id}`}>
              test it
            </Link>
            <Link className="quiet" to={`/locker/labels?pieces=${summary.id}`}>
              print its label
            </Link>
          </span>
          {editing ? (
            <EditPiece life={life} onDone={() => setEditing(false)} />
          ) : (
            <>
              <PieceFacts life={life} />
              <span className="flex flex-wrap gap-x-4">
                <button type="button" className="quiet" onClick={() => setEditing(true)}>
                  Change what is said of it
                </button>
                <DeletePiece life={life} />
              </span>
            </>
          )}
          <Changes life={life} />
          {summary.standing !== 'RETIRED' && <PastOuting life={life} />}
        </aside>
      </main>
    </Shell>
  );
}

/** What happened to it, the last first. */
function Events({ events }: { events: PieceLife['events'] }) {
  const { lengths } = usePreferences();
  return (
    <ol aria-label="what happened to it" className="px-4 pb-4 text-body">
      {events.toReversed().map((e, i) => (
        <li
          key={`${e.kind} ${e.id ?? ''} ${i}`}
          className="grid grid-cols-[92px_1fr] gap-x-3 border-b border-hairline py-1"
        >
          <span className="figures text-soft">{e.on}</span>
          <span>
            {e.kind === 'TEST' ? (
              <Link to={`/bench/${e.id}`} className="hover:text-blue hover:underline">
                {eventText(e, lengths)}
              </Link>
            ) : (
              eventText(e, lengths)
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** What its newest test measures like, where that is another type than its label says. */
function Likeness({ testId, cableKey }: { testId: string; cableKey: string | null }) {
  const types = useCableTypes().data ?? [];
  const like = useBenchTest(testId).data?.analysis.likeTypes ?? [];
  if (like.length === 0 || (cableKey !== null && like.includes(cableKey))) return null;
  const names = like.map((key) => types.find((t) => t.key === key)?.name ?? key);
  return <p>It measures like {names.join(' or ')}: look at its label and its length.</p>;
}
