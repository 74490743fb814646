import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import type { BenchNotes, BenchTest } from '../../api';
import { answered, api, Refused, useBenchAnalysis, useBenchTest, useCableTypes } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { UndoButtons } from '../../app/UndoButtons';
import { KeptFor, useSettled, useUndo } from '../../ui';
import { fixed, frequencyText, today } from '../../units';
import { capital, METHOD_WORDS } from '../../words';
import { CableUnderTest } from './CableUnderTest';
import { Figures } from './Figures';
import { Live } from './Live';
import { LossesPaste } from './LossesPaste';
import { MethodPicker } from './MethodPicker';
import {
  blankNotes,
  correctionOf,
  isSweep,
  kept,
  METHODS,
  nextCable,
  pieceOf,
  remember,
  usualBandsMHz,
} from './notes';
import { Outcome } from './Outcome';
import { OutcomeMark } from './OutcomeMark';
import { Readings } from './Readings';
import { SetUp } from './SetUp';
import { Subject } from './Subject';
import { Sweeps } from './Sweeps';
import { TitleBlock } from './TitleBlock';
import type { TestDraft } from './useTestDraft';
import { useTestDraft } from './useTestDraft';

/** Typing settles so long before it is worked out. */
const SETTLED_MS = 150;

/** One test: new, or stored and perhaps being corrected. */
export function TestPage() {
  const { id = 'new' } = useParams();
  const isNew = id === 'new';
  const stored = useBenchTest(isNew ? null : id);
  const [params] = useSearchParams();
  const location = useLocation();
  const { settings } = usePreferences();
  if (!isNew && !stored.data) {
    return (
      <Shell>
        <main className="p-5">
          <p role="status">
            {stored.isError ? `${capital(stored.error.message)}.` : 'Opening the test …'}
          </p>
        </main>
      </Shell>
    );
  }
  const method = METHODS.find((m) => m === params.get('method')) ?? 'WATTMETER';
  const next = isNew ? (location.state as BenchNotes | null) : null;
  const draft: TestDraft = stored.data
    ? { notes: correctionOf(stored.data), files: stored.data.files }
    : {
        notes: next ?? {
          ...blankNotes(method, usualBandsMHz(settings.region), today()),
          id: crypto.randomUUID(),
          piece: params.get('piece') ?? undefined,
          pieceId: params.get('pieceId') ?? undefined,
          cableKey: params.get('type') ?? undefined,
        },
        files: [],
      };
  // a test that is begun of a piece is of that piece, whatever else was begun before
  const key = isNew
    ? ['new', params.get('pieceId') ?? next?.id].filter(Boolean).join(' ')
    : `${id} ${stored.data?.summary.revision}`;
  return (
    <KeptFor.Provider value={`bench ${key}`}>
      <TestSheet key={key} begun={draft} stored={stored.data ?? null} />
    </KeptFor.Provider>
  );
}

function TestSheet({ begun, stored }: { begun: TestDraft; stored: BenchTest | null }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const types = useCableTypes().data ?? [];
  const { draft, setDraft, isChanged, addFile, forget, startAgain } = useTestDraft(begun);
  const { notes } = draft;
  const steps = useUndo(notes, (next) => setDraft((d) => ({ ...d, notes: next })));
  const setNotes = steps.change;
  const analysis = useBenchAnalysis(
    useSettled(
      useMemo(() => notes, [notes]),
      SETTLED_MS,
    ),
  );
  const worked = analysis.data;
  const type = types.find((t) => t.key === notes.cableKey);
  const fullDb = Math.max(
    1,
    ...(worked?.readings ?? []).flatMap((r) => [r.mostDb ?? 0, 1.2 * (r.expectedDb ?? 0)]),
    ...(worked?.figures ?? []).flatMap((f) => [f.mostDb, 1.2 * (f.expectedDb ?? 0)]),
  );

  const store = useMutation({
    mutationFn: async () => {
      remember(notes);
      const body = { ...kept(notes), ...(await pieceFor(notes, worked?.line?.lengthM ?? null)) };
      return answered(
        stored
          ? api.PUT('/api/bench/tests/{id}', {
              params: { path: { id: stored.summary.id } },
              body: { ...body, id: undefined },
            })
          : api.POST('/api/bench/tests', { body }),
      );
    },
    onSuccess: (test) => {
      forget();
      queries.setQueryData(['bench', 'test', test.summary.id], test);
      void queries.invalidateQueries({ queryKey: ['bench', 'log'] });
      void queries.invalidateQueries({ queryKey: ['locker'] });
      void navigate(`/bench/${test.summary.id}`, { replace: true });
    },
  });
  const isOvertaken = store.error instanceof Refused && store.error.problem.status === 409;

  function leave() {
    startAgain();
    store.reset();
    if (isOvertaken && stored) {
      void queries.invalidateQueries({ queryKey: ['bench', 'test', stored.summary.id] });
    }
  }

  const name = notes.piece?.trim() || (stored ? 'a test' : 'New test');
  return (
    <Shell here={name}>
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="test"
          className="flex min-h-0 min-w-0 flex-1 flex-col gap-3 overflow-y-auto px-4 py-3"
        >
          {worked?.outcome && worked.worst && (
            <p aria-hidden="true" className="flex items-baseline gap-2 min-[900px]:hidden">
              <OutcomeMark outcome={worked.outcome} />
              <span className="text-soft">
                {fixed(worked.worst.lossDb, 2)} dB at {frequencyText(worked.worst.frequencyMHz)}
              </span>
            </p>
          )}
          <span className="flex justify-end">
            <UndoButtons steps={steps} />
          </span>
          <Subject notes={notes} onChange={setNotes} />
          <MethodPicker
            value={notes.method}
            onChange={(method) => setNotes({ ...notes, method })}
          />
          <SetUp
            notes={notes}
            cable={[notes.piece, type?.name].filter(Boolean).join(', ') || 'the cable'}
            lossDb={worked?.figures.at(-1)?.lossDb ?? null}
            onChange={setNotes}
          >
            <CableUnderTest notes={notes} types={types} onChange={setNotes} />
          </SetUp>
          {notes.method !== 'LOSSES' && (
            <Live
              key={notes.method === 'WATTMETER' ? 'wattmeter' : 'analyser'}
              notes={notes}
              onChange={(change) => setDraft((d) => ({ ...d, notes: change(d.notes) }))}
              onFile={addFile}
            />
          )}
          {isSweep(notes.method) ? (
            <>
              <Sweeps
                notes={notes}
                analysis={worked}
                files={draft.files}
                onChange={setNotes}
                onFile={addFile}
              />
              <Figures figures={worked?.figures ?? []} fullDb={fullDb} />
            </>
          ) : (
            <>
              <Readings notes={notes} analysis={worked} fullDb={fullDb} onChange={setNotes} />
              {notes.method === 'LOSSES' && <LossesPaste notes={notes} onChange={setNotes} />}
            </>
          )}
          {analysis.isError && (
            <p role="alert" className="text-fail">
              {capital(analysis.error.message)}.
            </p>
          )}
        </section>
        <Outcome
          notes={notes}
          analysis={worked}
          types={types}
          stored={isChanged ? null : stored}
          isStale={analysis.isPlaceholderData}
        >
          {store.isError && (
            <p role="alert" className="text-fail">
              {capital(store.error.message)}.
            </p>
          )}
          {stored && !isChanged && (
            <button
              type="button"
              className="action self-start"
              title="radio, meter, load, lead, baseline, place and temperature stay"
              onClick={() =>
                void navigate('/bench/new', {
                  state: nextCable(notes, crypto.randomUUID(), today()),
                })
              }
            >
              Next cable
            </button>
          )}
          {(!stored || isChanged) && (
            <StoreButtons
              isStored={stored !== null}
              isChanged={isChanged}
              isOvertaken={isOvertaken}
              disabled={
                store.isPending || ((worked?.figures.length ?? 0) === 0 && !notes.terminatedFileId)
              }
              onStore={() => store.mutate()}
              onStartAgain={leave}
            />
          )}
        </Outcome>
      </main>
      <TitleBlock
        notes={notes}
        revision={stored?.summary.revision ?? null}
        id={stored?.summary.id ?? null}
        method={METHOD_WORDS[notes.method].what}
        onChange={setNotes}
      />
    </Shell>
  );
}

/** The piece of the locker that a label means: the one there is, or one made of what is noted; none without a length. */
async function pieceFor(
  notes: BenchNotes,
  sweptM: number | null,
): Promise<Pick<BenchNotes, 'pieceId'>> {
  const made = pieceOf(notes, crypto.randomUUID(), sweptM);
  if (notes.pieceId !== undefined || !made) return {};
  const there = await answered(
    api.GET('/api/locker/pieces', { params: { query: { label: made.label } } }),
  );
  const same = there.find((p) => p.label.toLowerCase() === made.label.toLowerCase());
  if (same) return { pieceId: same.id };
  const piece = await answered(api.POST('/api/locker/pieces', { body: made }));
  return { pieceId: piece.summary.id };
}

/** Keeps a test or a correction, or lets go of what was typed. */
function StoreButtons({
  isStored,
  isChanged,
  isOvertaken,
  disabled,
  onStore,
  onStartAgain,
}: {
  isStored: boolean;
  isChanged: boolean;
  /** Whether somebody else has corrected it meanwhile. */
  isOvertaken: boolean;
  disabled: boolean;
  onStore: () => void;
  onStartAgain: () => void;
}) {
  return (
    <span className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <button type="button" className="action" disabled={disabled} onClick={onStore}>
        {isStored ? 'Keep the correction' : 'Keep this test'}
      </button>
      {isChanged && (
        <button type="button" className="quiet" onClick={onStartAgain}>
          {isOvertaken
            ? 'Take what is there now'
            : isStored
              ? 'Cancel the correction'
              : 'Start again'}
        </button>
      )}
    </span>
  );
}
