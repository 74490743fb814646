import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import type { PlanSummary } from '../../api';
import { answered, api, usePlans } from '../../api';
import { Shell } from '../../app/Shell';
import { agoText } from '../../words';
import { newPlan, revisionNumber } from '../plan';

/** All plans, by the place they belong to. */
export function PlansPage() {
  const plans = usePlans();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const create = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/plans', { body: { id: crypto.randomUUID(), ...newPlan() } })),
    onSuccess: (plan) => {
      void queries.invalidateQueries({ queryKey: ['plans'] });
      void navigate(`/plans/${plan.id}`);
    },
  });

  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-3xl flex-col gap-6">
          <div className="flex items-baseline justify-between">
            <h1 className="text-[20px] font-bold">Plans</h1>
            <button
              type="button"
              className="action"
              disabled={create.isPending}
              onClick={() => create.mutate()}
            >
              New plan
            </button>
          </div>
          {create.isError && (
            <p role="alert" className="text-fail">
              Not made: {create.error.message}.
            </p>
          )}
          {plans.data ? (
            <BySite plans={plans.data} />
          ) : (
            <p role="status">
              {plans.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
        </div>
      </main>
    </Shell>
  );
}

function BySite({ plans }: { plans: PlanSummary[] }) {
  const sites = [...new Set(plans.map((p) => p.site))];
  if (plans.length === 0) {
    return (
      <p>
        No plan yet. A plan is one run from a radio to an antenna: make one, type its length and its
        power, and read which cable brings enough of it.
      </p>
    );
  }
  return sites.map((site) => (
    <section key={site} aria-label={site || 'no site'}>
      <h2 className="border-b border-ink pb-1 font-semibold">{site || 'No site'}</h2>
      <ul>
        {plans
          .filter((p) => p.site === site)
          .map((p) => (
            <li key={p.id} className="border-b border-hairline">
              <Link
                to={`/plans/${p.id}`}
                className="flex flex-wrap items-baseline gap-x-4 py-2 hover:bg-raised"
              >
                <span className="font-semibold">{p.name}</span>
                <span className="text-soft">
                  {p.chosen ? `${p.chosen} chosen` : 'nothing chosen'}
                </span>
                <span className="ml-auto text-[12px] text-soft">
                  revision <span className="figures">{revisionNumber(p.version)}</span>,{' '}
                  {agoText(Date.parse(p.updatedAt), Date.now())}
                </span>
              </Link>
            </li>
          ))}
      </ul>
    </section>
  ));
}
