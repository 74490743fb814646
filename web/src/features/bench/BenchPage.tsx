import { useMutation } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { BenchSearch } from '../../api';
import { answered, api, useBenchLog, useBenchTests } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { listOf, useAddress } from '../../app/useAddress';
import { useShortcuts } from '../../app/useShortcuts';
import { LongListOf, saveFile, Select, useTyped } from '../../ui';
import { capital, METHOD_WORDS, OUTCOME_WORDS } from '../../words';
import { Compared } from './Compared';
import { LogRow } from './LogRow';
import { METHODS } from './notes';

const ALL = 'ALL';

const OUTCOMES = Object.keys(OUTCOME_WORDS) as (keyof typeof OUTCOME_WORDS)[];

const ROW_PX = 48;

/** More than these cannot be told apart by their dash. */
const MOST_COMPARED = 6;

/** The log: every test with what it came to, and any of them laid side by side. */
export function BenchPage() {
  const { settings } = usePreferences();
  const navigate = useNavigate();
  const { params, put, toggle, beginAnew } = useAddress();
  const [search, setSearch] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const exported = useMutation({
    mutationFn: (query: BenchSearch) =>
      answered(api.GET('/api/bench/tests.csv', { params: { query }, parseAs: 'text' })),
    onSuccess: (csv) => saveFile('bench.csv', 'text/csv', csv),
  });
  useShortcuts(
    useMemo(
      () => ({ n: () => void navigate('/bench/new'), '/': () => field.current?.focus() }),
      [navigate],
    ),
  );

  const method = params.get('method') ?? ALL;
  const outcome = params.get('outcome') ?? ALL;
  const find = useTyped(search);
  const asked: BenchSearch = {
    find: find || undefined,
    method: METHODS.find((m) => m === method),
    outcome: OUTCOMES.find((o) => o === outcome),
    demo: settings.demoHidden ? false : undefined,
  };
  const isSearched = find !== '' || method !== ALL || outcome !== ALL;
  const log = useBenchLog(asked);
  const found = log.items ?? [];
  const compared = listOf(params, 'tests');
  const chosen = useBenchTests(compared);
  const fullDb = found.reduce((most, t) => Math.max(most, t.worst?.mostDb ?? 0), 1);

  return (
    <Shell>
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="log"
          className="flex min-h-0 min-w-0 flex-col min-[900px]:w-[58%] min-[900px]:border-r min-[900px]:border-hairline"
        >
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline px-4 py-2">
            <h1 className="text-title font-bold">Bench</h1>
            <input
              ref={field}
              type="search"
              aria-label="filter tests"
              placeholder="filter: piece, type, 2026-05"
              className="boxed min-h-7 w-48"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
              onKeyDown={(e) => e.key === 'Escape' && setSearch('')}
            />
            <Select
              label="way of measuring"
              value={method}
              options={[
                { value: ALL, text: 'every way' },
                ...METHODS.map((m) => ({ value: m as string, text: METHOD_WORDS[m].name })),
              ]}
              onChange={(m) => put({ method: m === ALL ? null : m })}
            />
            <Select
              label="verdict"
              value={outcome}
              options={[
                { value: ALL, text: 'every verdict' },
                ...Object.entries(OUTCOME_WORDS).map(([value, text]) => ({ value, text })),
              ]}
              onChange={(o) => put({ outcome: o === ALL ? null : o })}
            />
            <button
              type="button"
              className="action ml-auto"
              onClick={() => void navigate('/bench/new')}
            >
              New test
            </button>
          </div>
          {!log.items && (
            <p role="status" className="px-4 py-4">
              {log.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
          {log.items?.length === 0 && !isSearched && (
            <p className="px-4 py-4">
              No cable has been on the bench yet. A wattmeter and a dummy load are enough:{' '}
              <button type="button" className="quiet" onClick={() => void navigate('/bench/new')}>
                Note the first test
              </button>
              .
            </p>
          )}
          {log.items?.length === 0 && isSearched && (
            <p className="px-4 py-4">
              No test is like that.{' '}
              <button
                type="button"
                className="quiet"
                onClick={() => {
                  setSearch('');
                  beginAnew({});
                }}
              >
                Show all
              </button>
            </p>
          )}
          <LongListOf
            label="tests"
            items={found}
            keyOf={(t) => t.id}
            rowPx={ROW_PX}
            more={log.more}
            scrolls
          >
            {(t, placed) => (
              <LogRow
                placed={placed}
                test={t}
                fullDb={fullDb}
                isCompared={compared.includes(t.id)}
                onCompare={() => toggle('tests', t.id, MOST_COMPARED)}
              />
            )}
          </LongListOf>
          {found.length > 0 && (
            <p className="border-t border-hairline px-4 py-1 text-fine text-soft">
              {log.total} {log.total === 1 ? 'test' : 'tests'}, as{' '}
              <button
                type="button"
                className="quiet underline"
                disabled={exported.isPending}
                onClick={() => exported.mutate(asked)}
              >
                CSV
              </button>
              {exported.isError && (
                <span role="alert" className="ml-3 text-fail">
                  {capital(exported.error.message)}.
                </span>
              )}
            </p>
          )}
        </section>
        <section aria-label="side by side" className="min-w-0 flex-1 overflow-y-auto px-4 py-3">
          <Compared tests={chosen} />
        </section>
      </main>
    </Shell>
  );
}
