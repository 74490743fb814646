import type { CableType, Connector, StoredPlan } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { KeptFor, SettledStatus, useNarrow } from '../../ui';
import { words } from '../../words';
import { BandTabs } from './bands/BandTabs';
import { TitleBlock } from './document/TitleBlock';
import { Unsaved } from './document/Unsaved';
import { usePlanEditing } from './document/usePlanEditing';
import { useTogether } from './document/useTogether';
import { LedgerBar } from './ledger/LedgerBar';
import { MixPanel } from './ledger/MixPanel';
import { OwnFigure } from './ledger/OwnFigure';
import { StaleLine } from './ledger/StaleLine';
import { headline } from './note/headline';
import { Note } from './note/Note';
import { Asked } from './requirements/Asked';
import { Ribbon } from './run/Ribbon';
import { UprightRibbon } from './run/UprightRibbon';
import { asAnswered, SheetProvider, useKept, useSheet, WaitingProvider } from './sheetContext';
import { useSheetShortcuts } from './useSheetShortcuts';
import { useSheetState } from './useSheetState';
import { CurrentView } from './views/CurrentView';

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
  const editing = usePlanEditing(stored);
  const sheet = useSheetState(stored, editing, catalogue, connectors);
  const together = useTogether(stored.id, editing);
  useSheetShortcuts(sheet, editing);
  return (
    <KeptFor value={stored.id}>
      <SheetProvider value={sheet}>
        <WaitingProvider value={sheet.answered?.plan !== sheet.plan}>
          <Shell here={sheet.plan.name}>
            <Unsaved editing={editing} />
            <AsAnswered>
              <Spoken />
            </AsAnswered>
            <div className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row print:block">
              <Drawing />
              <AsAnswered>
                <Aside />
              </AsAnswered>
            </div>
            <TitleBlock editing={editing} together={together} />
          </Shell>
        </WaitingProvider>
      </SheetProvider>
    </KeptFor>
  );
}

/** What is read off the figures speaks of the plan that they were computed for. */
function AsAnswered({ children }: { children: React.ReactNode }) {
  return <SheetProvider value={useKept(asAnswered(useSheet()))}>{children}</SheetProvider>;
}

/** The answer in a sentence, for whoever does not see it. */
function Spoken() {
  const { plan, row, focus } = useSheet();
  const { reading } = usePreferences();
  return (
    row && (
      <SettledStatus
        text={`${headline(plan, row, focus, reading)} It ${words.judged[row.verdict]}.`}
      />
    )
  );
}

/** The run, its bands, what is asked, and below it what the address asks for. */
function Drawing() {
  const { address } = useSheet();
  const narrow = useNarrow();
  const isPaper = address.view === 'paper';
  return (
    <main className="flex min-h-0 min-w-0 flex-1 flex-col print:block">
      {narrow && !isPaper && (
        <div className="border-b border-hairline px-4 py-3">
          <AsAnswered>
            <Note part="head" />
          </AsAnswered>
        </div>
      )}
      {!isPaper && (
        <>
          {narrow ? <UprightRibbon /> : <Ribbon />}
          <BandTabs />
          <Asked />
        </>
      )}
      <LedgerBar />
      {address.isMixing && <MixPanel />}
      {address.own !== null && <OwnFigure key={address.own} />}
      <StaleLine />
      <AsAnswered>
        <CurrentView />
      </AsAnswered>
    </main>
  );
}

function Aside() {
  const { address } = useSheet();
  const narrow = useNarrow();
  if (address.view === 'paper') return null;
  return (
    <aside
      aria-label="note"
      className="shrink-0 overflow-y-auto border-l border-hairline px-4.5 py-4 min-[900px]:w-[264px] print:w-auto print:columns-2 print:gap-6 print:overflow-visible print:border-0 print:py-1 print:text-small"
    >
      <Note part={narrow ? 'rest' : 'whole'} />
    </aside>
  );
}
