import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { PlanSummary } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { newPlan } from '../plan';
import type { Use } from '../plan';

/** An undo and the next delete must not overtake each other on their way to the server. */
const ONE_AFTER_THE_OTHER = { id: 'plans' };

/** What can be done with plans from outside of their sheets. */
export function usePlanActions() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { settings } = usePreferences();
  const refresh = () => {
    void queries.invalidateQueries({ queryKey: ['plans'] });
    void queries.invalidateQueries({ queryKey: ['bin'] });
  };
  const path = (id: string) => ({ params: { path: { id } } });

  return {
    create: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: (use: Use) =>
        answered(
          api.POST('/api/plans', {
            body: { id: crypto.randomUUID(), ...newPlan(use, settings) },
          }),
        ),
      onSuccess: (plan) => {
        refresh();
        void navigate(`/plans/${plan.id}`, { state: { isNew: true } });
      },
    }),
    duplicate: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: async (plan: PlanSummary) => {
        const whole = await answered(api.GET('/api/plans/{id}', path(plan.id)));
        const { site, name, document } = whole;
        return answered(
          api.POST('/api/plans', {
            body: {
              id: crypto.randomUUID(),
              site,
              name: `${name.slice(0, 110)}, variant`,
              document,
            },
          }),
        );
      },
      onSuccess: refresh,
    }),
    rename: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: async ({ plan, name }: { plan: PlanSummary; name: string }) => {
        const { site, document, version } = await answered(
          api.GET('/api/plans/{id}', path(plan.id)),
        );
        return answered(
          api.PUT('/api/plans/{id}', { ...path(plan.id), body: { version, site, name, document } }),
        );
      },
      onSuccess: refresh,
    }),
    remove: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: (plan: PlanSummary) => answered(api.DELETE('/api/plans/{id}', path(plan.id))),
      onSuccess: refresh,
    }),
    restore: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: (plan: PlanSummary) =>
        answered(api.POST('/api/plans/{id}/restore', path(plan.id))),
      onSuccess: refresh,
    }),
    removeDemo: useMutation({
      scope: ONE_AFTER_THE_OTHER,
      mutationFn: () => answered(api.DELETE('/api/plans/demo')),
      onSuccess: refresh,
    }),
  };
}
