import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CableType, Connector, Row, StoredPlan } from '../../api';
import { useDecisions } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useShortcuts } from '../../app/useShortcuts';
import { KeptFor, SettledStatus, useNarrow } from '../../ui';
import { words } from '../../words';
import { lengthText, nextReading, shownReading } from '../../units';
import { BandTabs } from './bands/BandTabs';
import { headline } from './note/headline';
import { Ledger } from './ledger/Ledger';
import { Asked } from './requirements/Asked';
import { LedgerBar, viewOf } from './ledger/LedgerBar';
import type { LedgerFilter } from './ledger/ledgerFilter';
import { MixPanel } from './ledger/MixPanel';
import { addressOfFilter, filterOfAddress } from './ledger/ledgerFilter';
import { LedgerList } from './ledger/LedgerList';
import { laid } from './ledger/mix';
import { bandsOf, candidateLengthM, ownCablesOf, powerOn, runOf } from './document/model';
import { Note } from './note/Note';
import { OwnFigure } from './ledger/OwnFigure';
import { Ribbon } from './run/Ribbon';
import { TitleBlock } from './document/TitleBlock';
import { PlanConflict } from './document/PlanConflict';
import { useProfile } from './run/useProfile';
import { UprightRibbon } from './run/UprightRibbon';
import { useRows } from './ledger/useRows';
import { usePlanEditing } from './document/usePlanEditing';
import { PaperView } from './paper/PaperView';
import { LineView } from './views/LineView';
import { ReachView } from './views/ReachView';
import { SweepView } from './views/SweepView';
import { ValueView } from './views/ValueView';

/** The heart: sketch the run, see the watts fall along it, read which cable to take and why. */
export function PlanSheet({
  stored,
  catalogue,
  connectors,
}: {
  stored: StoredPlan;
  catalogue: CableType[];
  connectors: Connector[];
}) {
  const narrow = useNarrow();
  const editing = usePlanEditing(stored);
  const { plan } = editing;
  const { reading, lengths, setReading } = usePreferences();
  const [params, setParams] = useSearchParams();
  const [troubles, setTroubles] = useState<Record<string, string>>({});
  const [pointed, setPointed] = useState<string | null>(null);
  const decisions = useDecisions(stored.id).data ?? [];
  const chosen = decisions.find((d) => d.withdrawnAt === null)?.rowId;

  const bands = bandsOf(plan);
  const named = bands.findIndex((b) => b.id !== undefined && b.id === params.get('band'));
  const focus = Math.max(0, named);
  const hasWatts = powerOn(plan, bands[focus]) !== null;

  const rows = useRows(plan, catalogue, params.get('row') ?? chosen ?? null, pointed, focus);
  const stale = Object.keys(troubles).length > 0 || rows.isStale;

  const put = useCallback(
    (changes: Record<string, string | undefined>) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          for (const [name, value] of Object.entries(changes)) {
            if (value) after.set(name, value);
            else after.delete(name);
          }
          return after;
        },
        { replace: true },
      ),
    [setParams],
  );
  const focusBand = useCallback((i: number) => put({ band: bands[i]?.id }), [put, bands]);
  const ownOpen = params.get('own');
  const view = viewOf(params.get('view'));
  const openOwn = useCallback((id: string) => put({ own: id }), [put]);
  const select = useCallback((id: string) => put({ row: id }), [put]);
  const filter = useMemo(() => filterOfAddress(params), [params]);
  const sift = useCallback((change: Partial<LedgerFilter>) => put(addressOfFilter(change)), [put]);
  const trouble = useCallback((field: string, message: string | null) => {
    setTroubles((before) => {
      if (message === (before[field] ?? null)) return before;
      const others = Object.entries(before).filter(([name]) => name !== field);
      return Object.fromEntries(message === null ? others : [...others, [field, message]]);
    });
  }, []);

  useShortcuts(
    useMemo(
      () => ({
        u: () => setReading(nextReading(shownReading(reading, hasWatts), hasWatts)),
        '[': () => focusBand(Math.max(0, focus - 1)),
        ']': () => focusBand(Math.min(bands.length - 1, focus + 1)),
        PageUp: () => focusBand(Math.max(0, focus - 1)),
        PageDown: () => focusBand(Math.min(bands.length - 1, focus + 1)),
        c: () => document.querySelector<HTMLButtonElement>('[data-shortcut=choose]')?.click(),
        'Ctrl+Z': editing.undo,
        'Ctrl+Shift+Z': editing.redo,
        'Ctrl+Y': editing.redo,
      }),
      [setReading, reading, hasWatts, focusBand, focus, bands.length, editing.undo, editing.redo],
    ),
  );

  const profile = useProfile(plan, catalogue, rows.selected?.id ?? null, focus);
  const drawing = {
    plan,
    focus,
    rowId: rows.selected?.id ?? null,
    profile,
    band: bands[focus],
    assessment: rows.drawn,
    cableName: rows.selected?.name ?? '',
    isPresent: rows.selected?.id === rows.ledger?.presentRowId,
    catalogue,
    connectors,
    stale,
    onCommand: editing.command,
    onTrouble: trouble,
  };
  const rowContext = {
    plan,
    ledger: rows.ledger,
    catalogue,
    focus,
    selected: rows.selected?.id,
    chosen,
    onSelect: select,
    onPoint: setPointed,
    onEditOwn: openOwn,
    filter,
    onFilter: sift,
  };
  const noting = {
    plan,
    planId: stored.id,
    ledger: rows.ledger,
    row: rows.selected,
    assessment: rows.drawn,
    atTolerance: rows.atTolerance,
    profile,
    catalogue,
    connectors,
    focus,
    decisions,
    stale,
    onCommand: editing.command,
    onTrouble: trouble,
    onSave: editing.saveNow,
    onChosen: (row: Row) => {
      editing.command({ do: 'layRun', run: laid(runOf(plan), row, ownCablesOf(plan)) });
      select(row.id);
    },
  };
  const ownOpened = ownOpen === null ? null : ownCablesOf(plan).find((c) => c.id === ownOpen);
  return (
    <KeptFor value={stored.id}>
      <Shell here={plan.name}>
        <Unsaved editing={editing} />
        {rows.selected && (
          <SettledStatus
            text={`${headline(plan, rows.selected, focus, reading)} It ${words.judged[rows.selected.verdict]}.`}
          />
        )}
        <div className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row print:block">
          <main className="flex min-h-0 min-w-0 flex-1 flex-col print:block">
            {narrow && view !== 'paper' && (
              <div className="border-b border-hairline px-4 py-3">
                <Note {...noting} part="head" />
              </div>
            )}
            {view !== 'paper' && (
              <>
                {narrow ? (
                  <UprightRibbon {...drawing} />
                ) : (
                  <Ribbon {...drawing} pointedAt={rows.pointedAt} />
                )}
                <BandTabs
                  plan={plan}
                  focus={focus}
                  row={rows.selected}
                  assessment={rows.drawn}
                  onAdded={(bandId) => put({ band: bandId })}
                  stale={stale}
                  onFocus={focusBand}
                  onCommand={editing.command}
                  onTrouble={trouble}
                />
                <Asked
                  plan={plan}
                  connectors={connectors}
                  isReceiver={!hasWatts}
                  onCommand={editing.command}
                  onTrouble={trouble}
                />
              </>
            )}
            <LedgerBar
              plan={plan}
              view={view}
              filter={filter}
              rows={rows.ledger?.rows ?? []}
              onFilter={sift}
              onView={(v) => put({ view: v === 'ledger' ? undefined : v })}
              onAddOwn={() => openOwn('new')}
              onMix={() => put({ mix: 'open' })}
              onCommand={editing.command}
            />
            {params.get('mix') !== null && (
              <MixPanel
                plan={plan}
                catalogue={catalogue}
                connectors={connectors}
                onCommand={(command) => {
                  editing.command(command);
                  put({ row: undefined });
                }}
                onClose={() => put({ mix: undefined })}
              />
            )}
            {ownOpen !== null && (
              <OwnFigure
                key={ownOpen}
                cable={ownOpened ?? null}
                onPut={(cable) => {
                  editing.command({ do: 'putOwnCable', cable });
                  put({ row: cable.id, own: undefined });
                }}
                onRemove={(id) => {
                  editing.command({ do: 'removeOwnCable', id });
                  put({ row: undefined, own: undefined });
                }}
                onClose={() => put({ own: undefined })}
              />
            )}
            {stale && rows.ledger && (
              <p
                role="status"
                className="shrink-0 border-b border-hairline px-4 py-1 text-marginal"
              >
                {rows.problem ??
                  `Figures are still for ${lengthText(candidateLengthM(plan), lengths)}, as last understood.`}
              </p>
            )}
            {rows.problem && !rows.ledger && (
              <p role="alert" className="px-4 py-6 text-fail">
                {rows.problem}
              </p>
            )}
            {view === 'reach' && (
              <ReachView
                plan={plan}
                focus={focus}
                catalogue={catalogue}
                onCommand={editing.command}
              />
            )}
            {view === 'value' && (
              <ValueView
                plan={plan}
                focus={focus}
                catalogue={catalogue}
                selected={rows.selected?.id}
                onSelect={select}
              />
            )}
            {view === 'line' && <LineView {...drawing} />}
            {view === 'paper' && (
              <PaperView
                planId={stored.id}
                plan={plan}
                version={editing.version}
                catalogue={catalogue}
                connectors={connectors}
                focus={focus}
                rowId={rows.selected?.id ?? null}
                decisions={decisions}
                onCommand={editing.command}
              />
            )}
            {view === 'sweep' && (
              <SweepView
                plan={plan}
                focus={focus}
                catalogue={catalogue}
                ledger={rows.ledger}
                selected={rows.selected?.id}
              />
            )}
            {view === 'ledger' &&
              (narrow ? (
                <LedgerList {...rowContext} stale={stale} onCommand={editing.command} />
              ) : (
                <Ledger
                  {...rowContext}
                  stale={stale}
                  onFocus={focusBand}
                  onCommand={editing.command}
                />
              ))}
          </main>
          {view !== 'paper' && (
            <aside
              aria-label="note"
              className="shrink-0 overflow-y-auto border-l border-hairline px-4.5 py-4 min-[900px]:w-[264px] print:w-auto print:overflow-visible print:border-0"
            >
              <Note {...noting} part={narrow ? 'rest' : 'whole'} />
            </aside>
          )}
        </div>
        <TitleBlock
          plan={plan}
          version={editing.version}
          state={editing.state}
          hasWatts={hasWatts}
          canUndo={editing.canUndo}
          canRedo={editing.canRedo}
          onCommand={editing.command}
          onTrouble={trouble}
          onUndo={editing.undo}
          onRedo={editing.redo}
        />
      </Shell>
    </KeptFor>
  );
}

/** What stands between this plan and its being saved: nothing is lost, and nothing is overwritten. */
function Unsaved({ editing }: { editing: ReturnType<typeof usePlanEditing> }) {
  const { state } = editing;
  if (state.kind === 'refused') {
    return (
      <p role="alert" className="border-b border-fail px-4 py-2 text-fail">
        Not saved: {state.problem.detail}.
      </p>
    );
  }
  if (state.kind !== 'changedElsewhere') return null;
  return (
    <PlanConflict
      mine={editing.plan}
      current={state.current}
      onKeep={editing.keep}
      onTheirs={editing.takeTheirs}
    />
  );
}
