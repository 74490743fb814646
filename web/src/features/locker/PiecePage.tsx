import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { PieceLife, PieceSaid } from '../../api';
import {
  answered,
  api,
  Refused,
  useBenchTest,
  useCableTypes,
  useConnectors,
  usePiece,
} from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useShortcuts } from '../../app/useShortcuts';
import { SaveDrawing, Sentence, Term } from '../../ui';
import { fixed, frequencyText, lengthText, plain, today } from '../../units';
import {
  capital,
  endText,
  eventText,
  standingReason,
  testAgainText,
  trendSentence,
} from '../../words';
import { Changes } from './Changes';
import { LifeLine } from './LifeLine';
import { MovedBar } from './MovedBar';
import { PastOuting } from './PastOuting';
import { PieceFields } from './PieceFields';
import type { PieceDraft } from './PieceFields';
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
  const connectors = useConnectors().data ?? [];
  const nameOf = (key: string) => connectors.find((c) => c.key === key)?.name ?? key;
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
              {summary.outSince === null ? 'Took it out' : 'Put it away'}
            </button>
            <Link className="quiet" to={`/bench/new?pieceId=${summary.id}`}>
              test it
            </Link>
            <Link className="quiet" to={`/locker/labels?pieces=${summary.id}`}>
              print its label
            </Link>
          </span>
          {editing ? (
            <Edit life={life} onDone={() => setEditing(false)} />
          ) : (
            <>
              <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
                <Said what="ends">
                  {endText(summary.near, nameOf)}, {endText(summary.far, nameOf)}
                </Said>
                <Said what="bought">
                  {summary.boughtOn ?? 'not known'}
                  {summary.price !== null &&
                    ` for ${plain(summary.price, 2)} ${summary.priceCurrency}`}
                </Said>
                <Said what="kept at">{summary.keptAt ?? '–'}</Said>
                {summary.massKg !== null && (
                  <Said what="mass">
                    <span className="figures">{fixed(summary.massKg, 2)} kg</span>
                  </Said>
                )}
                <Said what="outings">
                  {summary.outings}
                  {summary.hardOutings > 0 && `, ${summary.hardOutings} of them hard`}
                </Said>
                {summary.percentOfSheet !== null && (
                  <Said what="last test">
                    <span className="figures">{fixed(summary.percentOfSheet, 0)} %</span> of its
                    sheet
                    {summary.referenceMHz !== null && ` at ${frequencyText(summary.referenceMHz)}`}
                  </Said>
                )}
                {life.kits.length > 0 && <Said what="kits">{life.kits.join(', ')}</Said>}
                {summary.plans.length > 0 && (
                  <Said what="in the run of">
                    {summary.plans.map((p) => (
                      <Link key={p.id} className="quiet block" to={`/plans/${p.id}`}>
                        {p.site}, {p.name}
                      </Link>
                    ))}
                  </Said>
                )}
                {summary.note && <Said what="note">{summary.note}</Said>}
              </dl>
              <p className="text-fine text-soft">
                {measured ? (
                  <>
                    In a run it stands with the <Term of="attenuation">loss that was measured</Term>{' '}
                    on{' '}
                    <Link className="quiet underline" to={`/bench/${measured.testId}`}>
                      {measured.on}
                    </Link>
                    , not with what its type promises.
                  </>
                ) : summary.cableKey ? (
                  'In a run it stands with what its type promises, until it is tested.'
                ) : (
                  'Nobody knows its type: test it before it can stand in a run.'
                )}
              </p>
              <span className="flex flex-wrap gap-x-4">
                <button type="button" className="quiet" onClick={() => setEditing(true)}>
                  change what is said of it
                </button>
                <Delete life={life} />
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

/** What its newest test measures like, where that is another type than its label says. */
function Likeness({ testId, cableKey }: { testId: string; cableKey: string | null }) {
  const types = useCableTypes().data ?? [];
  const like = useBenchTest(testId).data?.analysis.likeTypes ?? [];
  if (like.length === 0 || (cableKey !== null && like.includes(cableKey))) return null;
  const names = like.map((key) => types.find((t) => t.key === key)?.name ?? key);
  return <p>It measures like {names.join(' or ')}: look at its label and its length.</p>;
}

function Said({ what, children }: { what: string; children: React.ReactNode }) {
  return (
    <>
      <dt className="text-soft">{what}</dt>
      <dd className="min-w-0">{children}</dd>
    </>
  );
}

function Edit({ life, onDone }: { life: PieceLife; onDone: () => void }) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<PieceDraft>(() => saidOf(life));
  const store = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/api/locker/pieces/{id}', {
          params: { path: { id: life.summary.id } },
          body: { ...draft, lengthM: draft.lengthM ?? 0 },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker'] });
      onDone();
    },
  });
  const isOvertaken = store.error instanceof Refused && store.error.problem.status === 409;
  return (
    <>
      <PieceFields draft={draft} onChange={setDraft} />
      {store.isError && (
        <p role="alert" className="text-fail">
          {capital(store.error.message)}.
        </p>
      )}
      <span className="flex gap-4">
        <button
          type="button"
          className="action"
          disabled={store.isPending || draft.label.trim() === '' || draft.lengthM === undefined}
          onClick={() => store.mutate()}
        >
          Keep it so
        </button>
        <button
          type="button"
          className="quiet"
          onClick={() => {
            if (isOvertaken) void queries.invalidateQueries({ queryKey: ['locker'] });
            onDone();
          }}
        >
          {isOvertaken ? 'take what is there now' : 'leave it as it was'}
        </button>
      </span>
    </>
  );
}

function saidOf({ summary }: PieceLife): PieceSaid {
  return {
    version: summary.version,
    label: summary.label,
    cableKey: summary.cableKey ?? undefined,
    lengthM: summary.lengthM,
    near: summary.near ?? undefined,
    far: summary.far ?? undefined,
    boughtOn: summary.boughtOn ?? undefined,
    price: summary.price ?? undefined,
    priceCurrency: summary.priceCurrency ?? undefined,
    keptAt: summary.keptAt ?? undefined,
    note: summary.note ?? undefined,
  };
}

function Delete({ life }: { life: PieceLife }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const remove = useMutation({
    mutationFn: () =>
      answered(
        api.DELETE('/api/locker/pieces/{id}', { params: { path: { id: life.summary.id } } }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker', 'pieces'] });
      void navigate(`/locker?gone=${life.summary.id}`);
    },
  });
  return (
    <>
      <button type="button" className="quiet" onClick={() => remove.mutate()}>
        take it out of the locker for good
      </button>
      {remove.isError && (
        <p role="alert" className="text-fail">
          {remove.error.message}.
        </p>
      )}
    </>
  );
}
