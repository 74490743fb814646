import { useState } from 'react';
import { Shell } from '../../app/Shell';
import { UndoButtons } from '../../app/UndoButtons';
import { KeptFor } from '../../ui';
import { capital, saveWords, siteSentences } from '../../words';
import { Buying } from './Buying';
import { Cutting } from './Cutting';
import { Ducts } from './Ducts';
import { InPhase } from './InPhase';
import { Lanes } from './Lanes';
import { OnMast } from './OnMast';
import { ShareRuns } from './ShareRuns';
import { Steps } from './Steps';
import { Totals } from './Totals';
import type { Site, SiteDocument, SiteSheet } from './useSite';
import { useSiteEditing, useSiteSheet, useStoredSite } from './useSite';

/** What every part of the sheet gets. */
export interface PartProps {
  sheet: SiteSheet;
  document: SiteDocument;
  /** Says something else of the site; by a function where an answer was waited for meanwhile. */
  change: (next: SiteDocument | ((now: SiteDocument) => SiteDocument)) => void;
}

/** All runs of a place on one sheet. */
export function SitePage({ name }: { name: string }) {
  const stored = useStoredSite(name);
  return (
    <Shell here={name}>
      {stored.data ? (
        <KeptFor value={`site ${name}`}>
          <Sheet site={stored.data} />
        </KeptFor>
      ) : (
        <main className="p-5">
          {stored.error ? (
            <p role="alert" className="text-fail">
              {capital(stored.error.message)}.
            </p>
          ) : (
            <p role="status">Opening …</p>
          )}
        </main>
      )}
    </Shell>
  );
}

function Sheet({ site }: { site: Site }) {
  const editing = useSiteEditing(site);
  const { document, change } = editing;
  const sheet = useSiteSheet(site.name, document);
  const part = sheet.data && { sheet: sheet.data, document, change };
  return (
    <main
      data-scroller=""
      className="flex min-h-0 flex-1 flex-col max-[899px]:overflow-y-auto min-[900px]:flex-row print:block"
    >
      <section
        aria-label="the runs of the site"
        className="flex min-w-0 flex-col gap-4 px-4 py-3 min-[900px]:flex-1 min-[900px]:overflow-y-auto print:overflow-visible"
      >
        <Head name={site.name} editing={editing} sheet={sheet.data} />
        {sheet.error && (
          <p role="alert" className="text-fail">
            {capital(sheet.error.message)}.
          </p>
        )}
        {part ? (
          <div className={`flex flex-col gap-5 ${sheet.isPlaceholderData ? 'opacity-60' : ''}`}>
            <Lanes {...part} />
            {site.plans > part.sheet.runs.length && (
              <p className="text-soft">
                The first {part.sheet.runs.length} of its {site.plans} runs are worked out together.
              </p>
            )}
            <Ducts {...part} />
            <OnMast {...part} />
            <InPhase {...part} />
            <Steps {...part} />
          </div>
        ) : (
          !sheet.error && <p role="status">Opening …</p>
        )}
      </section>
      {part && (
        <section
          aria-label="what it comes to"
          className="flex min-w-0 flex-col gap-4 px-4 py-3 max-[899px]:border-t max-[899px]:border-hairline min-[900px]:w-[36%] min-[900px]:overflow-y-auto min-[900px]:border-l min-[900px]:border-hairline print:w-auto print:overflow-visible print:border-l-0"
        >
          <Totals {...part} />
          <Buying {...part} site={site.name} />
          <Cutting {...part} site={site.name} />
        </section>
      )}
    </main>
  );
}

function Head({
  name,
  editing,
  sheet,
}: {
  name: string;
  editing: ReturnType<typeof useSiteEditing>;
  sheet: SiteSheet | undefined;
}) {
  const [isSharing, setSharing] = useState(false);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h1 className="text-title font-bold">{name}</h1>
        <span className="print:hidden">
          <UndoButtons steps={editing.steps} />
        </span>
        <span className="text-fine text-soft print:hidden" role="status">
          {editing.isKept ? saveWords(editing.state, 'saved') : siteSentences.notKept}
        </span>
        <span className="ml-auto flex gap-x-5 print:hidden">
          <button type="button" className="quiet" onClick={() => window.print()}>
            Print
          </button>
          {editing.isKept && (
            <button
              type="button"
              className="quiet"
              aria-expanded={isSharing}
              onClick={() => setSharing(!isSharing)}
            >
              Share
            </button>
          )}
          <a
            className="quiet"
            href={`/api/transfers/site?site=${encodeURIComponent(name)}`}
            download
          >
            Save to a file
          </a>
        </span>
      </div>
      {isSharing && sheet && <ShareRuns sheet={sheet} />}
      {editing.state.kind === 'changedElsewhere' && (
        <p role="alert" className="border-l-[3px] border-marginal bg-raised px-3 py-2">
          {siteSentences.keptElsewhere}{' '}
          <button type="button" className="quiet" onClick={editing.takeTheirs}>
            Take theirs
          </button>{' '}
          <button type="button" className="quiet" onClick={editing.keepMine}>
            Keep mine
          </button>
        </p>
      )}
    </>
  );
}
