import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { PlanSummary } from '../../api';
import { Link } from 'react-router';
import { answered, api, usePlanList, usePlans } from '../../api';
import { usePreferences } from '../../app/preferences';
import { useSession } from '../../app/session';
import { Shell } from '../../app/Shell';
import { useShortcuts } from '../../app/useShortcuts';
import { LongListOf, Select, useTyped } from '../../ui';
import { PRESETS } from '../plan';
import type { Use } from '../plan';
import { FilePanel } from './FilePanel';
import { PlanLine } from './PlanLine';
import { usePlanActions } from './usePlanActions';
import { sentences } from '../../words';

const ORDERS = [
  { value: 'SITE', text: 'by site' },
  { value: 'CHANGED_LAST_FIRST', text: 'changed last first' },
] as const;

const HEADING_AND_PLAN_PX = 62;

type Order = (typeof ORDERS)[number]['value'];

/** All plans, each as a small drawing of its run. */
export function PlansPage() {
  const actions = usePlanActions();
  const { settings } = usePreferences();
  const { may } = useSession();
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<Order>('SITE');
  const [deleted, setDeleted] = useState<PlanSummary | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const [isAsking, setAsking] = useState(false);
  const [isReading, setReading] = useState(false);
  const create = actions.create.mutate;

  useShortcuts(
    useMemo(() => ({ n: () => setAsking(true), '/': () => field.current?.focus() }), []),
  );

  const find = useTyped(search);
  const demo = settings.demoHidden ? false : undefined;
  const plans = usePlanList({ order, demo, find: find || undefined });
  const found = plans.items ?? [];
  const hasDemo = (usePlans({ demo: true, limit: 1 }).data?.total ?? 0) > 0 && !settings.demoHidden;
  const failed = Object.values(actions).find((a) => a.isError)?.error;
  return (
    <Shell>
      <main data-scroller="" className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-[960px] flex-col gap-5">
          <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
            <h1 className="text-title font-bold">Plans</h1>
            <input
              ref={field}
              type="search"
              aria-label="search plans"
              placeholder="search: name, site, cable"
              className="boxed min-h-7 w-56"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
              onKeyDown={(e) => e.key === 'Escape' && setSearch('')}
            />
            <Select label="order" value={order} options={ORDERS} onChange={setOrder} />
            <button
              type="button"
              className="quiet"
              aria-expanded={isReading}
              onClick={() => setReading(!isReading)}
            >
              Import a file
            </button>
            <a className="quiet" href="/api/transfers/workspace" download>
              Save everything to a file
            </a>
            {may('MEMBER') && (
              <button
                type="button"
                className="action ml-auto"
                aria-expanded={isAsking}
                onClick={() => setAsking(!isAsking)}
              >
                New plan
              </button>
            )}
          </div>
          {isReading && <FilePanel onClose={() => setReading(false)} />}
          {isAsking && <Uses isBusy={actions.create.isPending} onUse={create} />}
          {failed && (
            <p role="alert" className="text-fail">
              Not done: {failed.message}.
            </p>
          )}
          {deleted && (
            <p role="status" className="border-l-[3px] border-blue bg-raised px-3 py-2">
              {deleted.name} is in the bin.{' '}
              <button
                type="button"
                className="quiet font-semibold"
                onClick={() => {
                  actions.restore.mutate(deleted);
                  setDeleted(null);
                }}
              >
                Undo
              </button>
            </p>
          )}
          {!plans.items && (
            <p role="status">
              {plans.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
          {plans.items?.length === 0 && find === '' && (
            <FirstQuestion isBusy={actions.create.isPending} onUse={create} />
          )}
          {plans.items?.length === 0 && find !== '' && (
            <p>
              No plan has “{find}” in it.{' '}
              <button type="button" className="quiet" onClick={() => setSearch('')}>
                Show all
              </button>
            </p>
          )}
          <LongListOf
            label="plans"
            items={lines(found, order)}
            keyOf={(line) => (line.kind === 'site' ? `site ${line.site}` : line.plan.id)}
            rowPx={HEADING_AND_PLAN_PX}
            more={plans.more}
          >
            {(line, placed) =>
              line.kind === 'site' ? (
                <li {...placed} className={placed['data-index'] === 0 ? '' : 'pt-5'}>
                  <h2 className="flex items-baseline justify-between border-b border-ink pb-1 font-semibold">
                    {line.site}
                    {line.site !== '' && (
                      <Link
                        to={`/sites?site=${encodeURIComponent(line.site)}`}
                        className="quiet text-fine font-normal"
                      >
                        Plan its runs together
                      </Link>
                    )}
                  </h2>
                </li>
              ) : (
                <PlanLine
                  placed={placed}
                  plan={line.plan}
                  now={plans.readAt}
                  actions={actions}
                  onDelete={() => {
                    actions.remove.mutate(line.plan);
                    setDeleted(line.plan);
                  }}
                />
              )
            }
          </LongListOf>
          <Below actions={actions} hasDemo={hasDemo} />
        </div>
      </main>
    </Shell>
  );
}

type Line = { kind: 'site'; site: string } | { kind: 'plan'; plan: PlanSummary };

/** The plans under the heading of their site, as far as they are in the order of their sites. */
function lines(plans: readonly PlanSummary[], order: Order): Line[] {
  return plans.flatMap((plan, i): Line[] => {
    const heading = order === 'SITE' ? plan.site || 'No site' : 'All sites';
    const isFirst = i === 0 || (order === 'SITE' && plans[i - 1]?.site !== plan.site);
    return [...(isFirst ? [{ kind: 'site', site: heading } as const] : []), { kind: 'plan', plan }];
  });
}

interface UsesProps {
  isBusy: boolean;
  onUse: (use: Use) => void;
}

/** A plan starts from how it will be used: that sets bands, what is asked, and the order of the ledger. */
function Uses({ isBusy, onUse }: UsesProps) {
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus(), []);
  return (
    <section aria-label="what the run is for" className="border border-hairline p-4">
      <h2 className="mb-2 font-semibold">What is the run for?</h2>
      <ul className="grid gap-2 min-[700px]:grid-cols-2">
        {PRESETS.map((preset, i) => (
          <li key={preset.use}>
            <button
              ref={i === 0 ? first : undefined}
              type="button"
              className="h-full min-h-11 w-full border border-control px-3 py-2 text-left hover:border-ink"
              disabled={isBusy}
              onClick={() => onUse(preset.use)}
            >
              <span className="block font-semibold">{preset.name}</span>
              <span className="block text-fine text-soft">{preset.text}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-fine text-soft">{sentences.whatAUseSets}</p>
    </section>
  );
}

function FirstQuestion(uses: UsesProps) {
  return (
    <div className="border border-hairline p-6">
      <h2 className="text-heading font-semibold">Which antenna do you want to bring power to?</h2>
      <p className="mt-1 mb-4 max-w-xl">{sentences.firstPlan}</p>
      <Uses {...uses} />
    </div>
  );
}

/** The bin, and the way out of the demo. */
function Below({
  actions,
  hasDemo,
}: {
  actions: ReturnType<typeof usePlanActions>;
  hasDemo: boolean;
}) {
  const { change } = usePreferences();
  const { may } = useSession();
  const [sure, setSure] = useState(false);
  const [open, setOpen] = useState(false);
  const bin = useQuery({
    queryKey: ['bin'],
    queryFn: () => answered(api.GET('/api/plans/bin')),
    enabled: may('KEEPER'),
  });
  const away = bin.data ?? [];
  return (
    <div className="flex flex-col gap-4 pt-2 text-fine text-soft">
      {hasDemo && (
        <p>
          The plans of Skarra are a demo.{' '}
          <button type="button" className="quiet" onClick={() => change({ demoHidden: true })}>
            Hide them
          </button>{' '}
          (the settings bring them back){may('KEEPER') && ', or '}
          {!may('KEEPER') ? null : sure ? (
            <button
              type="button"
              className="quiet font-semibold"
              onClick={() => actions.removeDemo.mutate()}
            >
              Yes, remove them for good
            </button>
          ) : (
            <button type="button" className="quiet" onClick={() => setSure(true)}>
              remove them for good
            </button>
          )}
          .
        </p>
      )}
      {away.length > 0 && (
        <details open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
          <summary>
            Bin: {away.length} {away.length === 1 ? 'plan' : 'plans'}
          </summary>
          <ul className="mt-1">
            {away.map((p) => (
              <li key={p.id} className="flex items-baseline gap-4 border-b border-hairline py-1">
                <span className="min-w-0 truncate">
                  {p.name}
                  {p.site && `, ${p.site}`}
                </span>
                <button
                  type="button"
                  className="quiet ml-auto shrink-0"
                  onClick={() => actions.restore.mutate(p)}
                >
                  Restore {p.name}
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
