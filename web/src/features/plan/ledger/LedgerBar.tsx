import { useMemo, useRef, useState } from 'react';
import type { Row } from '../../../api';
import { useShortcuts } from '../../../app/useShortcuts';
import { Choice, OpensInPlace, useNarrow } from '../../../ui';
import { reasonText, words } from '../../../words';
import type { Preference } from '../document/model';
import { bandName, bandsOf, preferenceOf } from '../document/model';
import { partsWith } from '../run/parts';
import { Columns } from './Columns';
import { useSheet } from '../sheetContext';
import { VIEWS } from '../useSheetAddress';
import { saveLedger } from '../views/exports';

const PREFERENCES = (
  ['LEAST_COST', 'LEAST_LOSS', 'BEST_VALUE', 'LIGHTEST', 'MOST_MARGIN', 'SUREST'] as const
).map((value) => ({ value, text: words.preference[value] }));

/** The views, the filter of the rows, and the school that orders them. */
export function LedgerBar() {
  const sheet = useSheet();
  const { plan, ledger, address, command } = sheet;
  const bands = bandsOf(plan).map(bandName);
  const { view, filter, put, sift } = address;
  const rows = ledger?.rows ?? [];
  const narrow = useNarrow();
  const field = useRef<HTMLInputElement>(null);
  useShortcuts(useMemo(() => ({ '/': () => field.current?.focus() }), []));
  // the address follows a moment later; what is typed must not wait for it
  const [typed, setTyped] = useState(filter.find);
  const [followed, setFollowed] = useState(filter.find);
  if (followed !== filter.find) {
    setFollowed(filter.find);
    if (filter.find === '') setTyped('');
  }
  function find(text: string) {
    setTyped(text);
    sift({ find: text });
  }
  function firstReason(row: Row): string {
    const [first] = row.reasons;
    return first
      ? reasonText(first, bands[first.band ?? -1] ?? '', partsWith(row, sheet)(first))
      : '';
  }
  const base = rows.find((r) => r.id === filter.base);
  const tools = (
    <>
      <button type="button" className="quiet" onClick={() => put({ mix: 'open' })}>
        Try a mix
      </button>
      <button
        type="button"
        className="quiet"
        disabled={rows.length === 0}
        onClick={() => saveLedger(`${plan.name}, ledger`, rows, bands, firstReason)}
      >
        Save as CSV
      </button>
      <Columns />
      <button type="button" className="quiet" onClick={() => put({ own: 'new' })}>
        Add a figure of my own
      </button>
    </>
  );
  return (
    <div
      className={`flex shrink-0 flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline px-4 py-1 ${view === 'paper' ? 'print:hidden' : ''}`}
    >
      <Views />
      <span
        className={`ml-auto flex flex-wrap items-baseline gap-x-4 print:hidden ${view === 'ledger' ? '' : 'hidden'}`}
      >
        {base && (
          <button type="button" className="quiet" onClick={() => sift({ base: null })}>
            Read figures as they are, not against {base.name}
          </button>
        )}
        <input
          ref={field}
          type="search"
          aria-label="filter cables"
          placeholder="filter"
          className="boxed min-h-6 w-24"
          value={typed}
          onChange={(e) => find(e.target.value)}
          onKeyDown={(e) => e.key === 'Escape' && find('')}
        />
        <button
          type="button"
          className={`quiet ${filter.hideFailing ? 'font-semibold underline' : ''}`}
          aria-pressed={filter.hideFailing}
          onClick={() => sift({ hideFailing: !filter.hideFailing })}
        >
          Hide what fails
        </button>
        {narrow ? (
          <OpensInPlace label="more of the ledger" text="More" className="quiet">
            {() => tools}
          </OpensInPlace>
        ) : (
          tools
        )}
        <Choice<Preference>
          label="order of the rows"
          value={preferenceOf(plan)}
          options={PREFERENCES}
          onChange={(preference) => command({ do: 'prefer', preference })}
        />
      </span>
    </div>
  );
}

function Views() {
  const { view, put } = useSheet().address;
  return (
    <div role="group" aria-label="view" className="flex gap-3">
      {VIEWS.map((v) => (
        <button
          key={v.view}
          type="button"
          aria-pressed={v.view === view}
          className={`min-h-6 border-b-2 ${v.view === view ? 'border-blue font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
          onClick={() => put({ view: v.view === 'ledger' ? undefined : v.view })}
        >
          {v.text}
        </button>
      ))}
    </div>
  );
}
