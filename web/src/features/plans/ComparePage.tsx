import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answered, api, useCableTypes, usePlans } from '../../api';
import type { PlanSummary } from '../../api';
import { PlanChoice } from '../../app/PlanChoice';
import { Shell } from '../../app/Shell';
import { saveFile, Select } from '../../ui';
import { besideEachOther, letterOf, typeOptions } from '../../words';
import { SideRows } from './SideRows';
import { addressOf, entriesOf, FEWEST, MOST, sharedBands, sideBySideCsv } from './sideBySide';
import type { Entry, InRun, SharedBand } from './sideBySide';

/** Two to six plans, or rows of one plan, under each other at one scale of length and power. */
export function ComparePage() {
  const [params, setParams] = useSearchParams();
  const plans = usePlans().data?.items ?? [];
  const entries = withEnough(entriesOf(params), plans);
  const base = Math.min(Number(params.get('base') ?? 0) || 0, entries.length - 1);
  const answers = useInRuns(entries);
  const all = answers.map((a) => a.data);
  const isWhole = all.every((one) => one !== undefined);
  const bands = useMemo(() => sharedBands(all.filter((one) => one !== undefined)), [all]);
  const band = params.get('band');
  const put = (next: readonly Entry[], nextBase = base, nextBand = band) =>
    setParams(addressOf(next, nextBase, nextBand), { replace: true });

  return (
    <Shell here="Side by side">
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-4">
        <div className="flex flex-col gap-3">
          <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
            <h1 className="text-title font-bold">Side by side</h1>
            <span className="ml-auto flex gap-x-5 print:hidden">
              <button
                type="button"
                className="quiet"
                disabled={!isWhole}
                onClick={() =>
                  saveFile(
                    'side by side.csv',
                    'text/csv;charset=utf-8',
                    sideBySideCsv(all as InRun[], bands),
                  )
                }
              >
                Save as CSV
              </button>
              <button type="button" className="quiet" onClick={() => window.print()}>
                Print
              </button>
            </span>
          </div>
          {plans.length === 1 && <OnlyOne plan={plans[0]} />}
          <ol aria-label="what stands side by side" className="flex flex-col print:hidden">
            {entries.map((entry, i) => (
              <Picker
                key={`${i} ${entry.planId}`}
                letter={letterOf(i)}
                entry={entry}
                error={answers[i]?.error?.message}
                onPick={(to) => put(entries.with(i, to))}
                onRemove={
                  entries.length > FEWEST
                    ? () => put(entries.toSpliced(i, 1), Math.max(0, base - (i <= base ? 1 : 0)))
                    : null
                }
              />
            ))}
          </ol>
          <span className="print:hidden">
            {entries.length < MOST ? (
              <button
                type="button"
                className="quiet"
                disabled={plans.length === 0}
                onClick={() => put([...entries, another(entries, plans)])}
              >
                Add one more
              </button>
            ) : (
              <span className="text-fine text-soft">Six is as many as fit side by side.</span>
            )}
          </span>
          {isWhole && bands.length > 0 ? (
            <>
              <ul>
                {besideEachOther(bands, base).map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
              <SideRows
                all={all as InRun[]}
                bands={bands}
                base={base}
                focus={focusOf(bands, band)}
                onBase={(i) => put(entries, i)}
                onFocus={(i) => put(entries, base, bands[i]?.name ?? null)}
              />
            </>
          ) : (
            answers.some((a) => a.isPending) && <p role="status">Computing …</p>
          )}
        </div>
      </main>
    </Shell>
  );
}

/** The band that an address names, or the first that all of them have. */
function focusOf(bands: readonly SharedBand[], name: string | null): number {
  const named = bands.findIndex((b) => b.name === name);
  const shared = bands.findIndex((b) => b.of.every((of) => of !== null));
  return Math.max(0, named >= 0 ? named : shared);
}

function OnlyOne({ plan }: { plan: PlanSummary | undefined }) {
  return (
    <p className="text-soft">
      There is only one plan, {plan?.name}: set rows of its ledger side by side, or make a variant
      of it on the{' '}
      <Link to="/plans" className="quiet">
        plans sheet
      </Link>
      .
    </p>
  );
}

/** What an address names, and where that is too little, plans of the same site. */
function withEnough(entries: Entry[], plans: readonly PlanSummary[]): Entry[] {
  const enough = [...entries];
  while (enough.length < FEWEST && plans.length > 0) enough.push(another(enough, plans));
  return enough;
}

/** Another plan of the same site, or any other; a row of the last one where there is none. */
function another(entries: readonly Entry[], plans: readonly PlanSummary[]): Entry {
  const last = plans.find((p) => p.id === entries.at(-1)?.planId);
  const others = plans.filter((p) => !entries.some((e) => e.planId === p.id));
  const next = others.find((p) => p.site === last?.site) ?? others[0] ?? last ?? plans[0];
  return { planId: next?.id ?? '', rowId: null };
}

function useInRuns(entries: readonly Entry[]) {
  return useQueries({
    queries: entries.map(({ planId, rowId }) => ({
      queryKey: ['in-run', planId, rowId],
      queryFn: () =>
        answered(
          api.GET('/api/plans/{id}/in-run', {
            params: { path: { id: planId }, query: rowId === null ? {} : { rowId } },
          }),
        ),
    })),
  });
}

const IN_RUN = '';

/** Which plan, and which cable in it. */
function Picker({
  letter,
  entry,
  error,
  onPick,
  onRemove,
}: {
  letter: string;
  entry: Entry;
  error: string | undefined;
  onPick: (to: Entry) => void;
  onRemove: (() => void) | null;
}) {
  const types = useCableTypes().data ?? [];
  const lies = usePlans({ ids: [entry.planId] }).data?.items[0]?.sketch?.cableName;
  const cables = typeOptions(types);
  const isOther = entry.rowId !== null && !cables.some((c) => c.value === entry.rowId);
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1">
      <b className="w-4">{letter}</b>
      <PlanChoice
        label={`plan ${letter}`}
        value={entry.planId}
        textOf={(plan) => [plan.site, plan.name].filter(Boolean).join(': ')}
        onPick={(plan) => onPick({ planId: plan.id, rowId: null })}
        className="min-w-0 font-semibold"
      />
      <span className="text-soft">with</span>
      <Select
        label={`cable of ${letter}`}
        value={entry.rowId ?? IN_RUN}
        options={[
          { value: IN_RUN, text: lies ? `${lies}, as in its run` : 'the cable in its run' },
          ...(isOther ? [{ value: entry.rowId ?? '', text: entry.rowId ?? '' }] : []),
          ...cables,
        ]}
        onChange={(rowId) => onPick({ ...entry, rowId: rowId === IN_RUN ? null : rowId })}
      />
      <Link to={`/plans/${entry.planId}`} className="quiet text-fine">
        Open
      </Link>
      {onRemove && (
        <button
          type="button"
          className="quiet text-fine"
          aria-label={`Remove ${letter}`}
          onClick={onRemove}
        >
          Remove
        </button>
      )}
      {error && (
        <span role="alert" className="text-fail">
          {error}.
        </span>
      )}
    </li>
  );
}
