import { useState } from 'react';
import { useParams } from 'react-router';
import { Shell } from '../../app/Shell';
import { UndoButtons } from '../../app/UndoButtons';
import { useUndo } from '../../ui';
import { capital, siteSentences } from '../../words';
import { Buying } from './Buying';
import { Cutting } from './Cutting';
import { Ducts } from './Ducts';
import { InPhase } from './InPhase';
import { Lanes } from './Lanes';
import { ShareRuns } from './ShareRuns';
import { Steps } from './Steps';
import { Totals } from './Totals';
import type { SiteDocument } from './useSite';
import { useSite, useSiteSheet } from './useSite';

/** All runs of a place on one sheet. */
export function SitePage() {
  const { name = '' } = useParams();
  const site = useSite(name);
  const steps = useUndo<SiteDocument>(site.document ?? { schemaVersion: 1 }, site.change);
  const sheet = useSiteSheet(name, site.document);
  const { document } = site;
  const [isSharing, setSharing] = useState(false);
  return (
    <Shell here={name}>
      <main
        data-scroller=""
        className="flex min-h-0 flex-1 flex-col max-[899px]:overflow-y-auto min-[900px]:flex-row print:block"
      >
        <section
          aria-label="the runs of the site"
          className="flex min-w-0 flex-col gap-4 px-4 py-3 min-[900px]:flex-1 min-[900px]:overflow-y-auto print:overflow-visible"
        >
          <div className="flex flex-wrap items-baseline gap-x-5">
            <h1 className="text-title font-bold">{name}</h1>
            <UndoButtons steps={steps} />
            <span className="text-fine text-soft print:hidden" role="status">
              {savedText(site)}
            </span>
            <button
              type="button"
              className="quiet ml-auto print:hidden"
              onClick={() => window.print()}
            >
              Print
            </button>
            {site.mayKeep && (
              <button
                type="button"
                className="quiet print:hidden"
                aria-expanded={isSharing}
                onClick={() => setSharing(!isSharing)}
              >
                Share
              </button>
            )}
            <a
              className="quiet print:hidden"
              href={`/api/transfers/sites/${encodeURIComponent(name)}`}
              download
            >
              Save to a file
            </a>
          </div>
          {(site.error ?? sheet.error) && (
            <p role="alert" className="text-fail">
              {capital((site.error ?? sheet.error)?.message ?? '')}.
            </p>
          )}
          {isSharing && sheet.data && <ShareRuns sheet={sheet.data} />}
          {site.theirs && <Conflict settle={site.settle} />}
          {!sheet.data && !site.error && !sheet.error && <p role="status">Opening …</p>}
          {document && sheet.data && (
            <div className={`flex flex-col gap-5 ${sheet.isPlaceholderData ? 'opacity-60' : ''}`}>
              <Lanes sheet={sheet.data} document={document} />
              {site.plans > sheet.data.runs.length && (
                <p className="text-soft">
                  The first {sheet.data.runs.length} of its {site.plans} runs are worked out
                  together.
                </p>
              )}
              <Ducts sheet={sheet.data} document={document} change={steps.change} />
              <InPhase sheet={sheet.data} document={document} change={steps.change} />
              <Steps sheet={sheet.data} document={document} change={steps.change} />
            </div>
          )}
        </section>
        {document && sheet.data && (
          <section
            aria-label="what it comes to"
            className="flex min-w-0 flex-col gap-4 px-4 py-3 max-[899px]:border-t max-[899px]:border-hairline min-[900px]:w-[36%] min-[900px]:overflow-y-auto min-[900px]:border-l min-[900px]:border-hairline print:w-auto print:overflow-visible print:border-l-0"
          >
            <Totals sheet={sheet.data} document={document} change={steps.change} />
            <Buying name={name} sheet={sheet.data} document={document} change={steps.change} />
            <Cutting sheet={sheet.data} document={document} change={steps.change} />
          </section>
        )}
      </main>
    </Shell>
  );
}

function Conflict({ settle }: { settle: (take: 'theirs' | 'mine') => void }) {
  return (
    <p role="alert" className="border-l-[3px] border-marginal bg-raised px-3 py-2">
      {siteSentences.keptElsewhere}{' '}
      <button type="button" className="quiet" onClick={() => settle('theirs')}>
        Take theirs
      </button>{' '}
      <button type="button" className="quiet" onClick={() => settle('mine')}>
        Keep mine
      </button>
    </p>
  );
}

/** What every part of the sheet gets. */
export interface PartProps {
  sheet: NonNullable<ReturnType<typeof useSiteSheet>['data']>;
  document: SiteDocument;
  change: (next: SiteDocument) => void;
}

function savedText({ problem, isSaved, mayKeep }: ReturnType<typeof useSite>): string {
  if (problem) return `Not saved: ${problem}.`;
  if (isSaved) return 'saved';
  return mayKeep ? 'saving …' : 'in this window only';
}
