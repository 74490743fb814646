import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useSession } from '../../../app/session';
import { tied } from '../../../units';
import { dateText } from '../../../words';
import { driftOf, figuresOfThatDay } from '../document/drift';
import { useSheet } from '../sheetContext';

/** What was chosen, and whether it still rests on the figures of today. */
export function Decisions() {
  const { planId, plan, ledger, decisions, stale } = useSheet();
  const queries = useQueryClient();
  const { reading } = usePreferences();
  const { may } = useSession();
  const withdraw = useMutation({
    mutationFn: (decision: string) =>
      answered(
        api.POST('/api/plans/{id}/decisions/{decision}/withdrawal', {
          params: { path: { id: planId, decision } },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['decisions', planId] });
      void queries.invalidateQueries({ queryKey: ['plans'] });
    },
  });
  if (decisions.length === 0) return null;
  return (
    <section aria-label="choices" className="border-t border-hairline pt-3">
      <h2 className="mb-1 text-fine text-soft">Choices</h2>
      <ul className="flex flex-col gap-2">
        {decisions.map((d) => (
          <li key={d.id} className={d.withdrawnAt ? 'text-soft line-through' : ''}>
            <span className="font-semibold">{d.cableName}</span>, {dateText(d.decidedAt)}
            {d.madeBy && `, ${d.madeBy}`}
            {d.reason && <span className="block break-words">“{d.reason}”</span>}
            <span className="block text-fine text-soft">
              {tied(figuresOfThatDay(d.figures, plan, reading))}
            </span>
            {!d.withdrawnAt && !stale && ledger && (
              <span className="block text-marginal empty:hidden">
                {driftOf(
                  d.figures,
                  ledger.rows.find((r) => r.id === d.rowId),
                  plan,
                  reading,
                )}
              </span>
            )}
            {!d.withdrawnAt && may('MEMBER') && (
              <button
                type="button"
                className="quiet block text-fine"
                onClick={() => withdraw.mutate(d.id)}
              >
                Withdraw this choice
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
