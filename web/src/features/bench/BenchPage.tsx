import { useMutation } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, useBenchLog } from '../../api';
import type { BenchSummary } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useAddress } from '../../app/useAddress';
import { useShortcuts } from '../../app/useShortcuts';
import { EndOfSeen, saveFile, Select, useAsFarAsSeen } from '../../ui';
import { capital, METHOD_WORDS, OUTCOME_WORDS } from '../../words';
import { Compared } from './Compared';
import { isFound } from './log';
import { LogRow } from './LogRow';
import { METHODS } from './notes';

const ALL = 'ALL';

/** More than these cannot be told apart by their dash. */
const MOST_COMPARED = 6;

/** The log: every test with what it came to, and any of them laid side by side. */
export function BenchPage() {
  const log = useBenchLog();
  const { settings } = usePreferences();
  const navigate = useNavigate();
  const { params, put, beginAnew } = useAddress();
  const [search, setSearch] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const exported = useMutation({
    mutationFn: (ids: string[]) =>
      answered(api.POST('/api/bench/test-exports', { body: { ids }, parseAs: 'text' })),
    onSuccess: (csv) => saveFile('bench.csv', 'text/csv', csv),
  });
  useShortcuts(
    useMemo(
      () => ({ n: () => void navigate('/bench/new'), '/': () => field.current?.focus() }),
      [navigate],
    ),
  );

  const tests = (log.data ?? []).filter((t) => !(t.demo && settings.demoHidden));
  const method = params.get('method') ?? ALL;
  const outcome = params.get('outcome') ?? ALL;
  const found = tests.filter((t) => isFound(t, search, { method, outcome, all: ALL }));
  const { seen, end } = useAsFarAsSeen(found);
  const chosen = (params.get('tests') ?? '')
    .split(' ')
    .map((id) => tests.find((t) => t.id === id))
    .filter((t): t is BenchSummary => t !== undefined);
  const toggle = (id: string) => {
    const ids = chosen.map((t) => t.id);
    const next = ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id];
    put({ tests: next.slice(-MOST_COMPARED).join(' ') });
  };
  const fullDb = tests.reduce((most, t) => Math.max(most, t.worst?.mostDb ?? 0), 1);

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
          {!log.data && (
            <p role="status" className="px-4 py-4">
              {log.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
          {log.data && tests.length === 0 && (
            <p className="px-4 py-4">
              No cable has been on the bench yet. A wattmeter and a dummy load are enough:{' '}
              <button type="button" className="quiet" onClick={() => void navigate('/bench/new')}>
                Note the first test
              </button>
              .
            </p>
          )}
          {tests.length > 0 && found.length === 0 && (
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
          <ul aria-label="tests" className="min-h-0 flex-1 overflow-y-auto">
            {seen.map((t) => (
              <LogRow
                key={t.id}
                test={t}
                fullDb={fullDb}
                isCompared={chosen.some((c) => c.id === t.id)}
                onCompare={() => toggle(t.id)}
              />
            ))}
            {end && <EndOfSeen as="li" key={end.key} onNear={end.more} />}
          </ul>
          {found.length > 0 && (
            <p className="border-t border-hairline px-4 py-1 text-fine text-soft">
              {found.length} {found.length === 1 ? 'test' : 'tests'}, as{' '}
              <button
                type="button"
                className="quiet underline"
                disabled={exported.isPending}
                onClick={() => exported.mutate(found.map((t) => t.id))}
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
