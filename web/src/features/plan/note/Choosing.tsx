import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { Decision, Ledger, Row } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { tied } from '../../../units';
import { dateText } from '../../../words';
import { driftOf, figuresOfThatDay } from '../document/drift';
import type { Plan } from '../document/model';

interface Props {
  plan: Plan;
  planId: string;
  ledger: Ledger | undefined;
  decisions: Decision[];
  stale: boolean;
  /** Saves what is unsaved and tells the version that is stored then; null when it could not be saved. */
  onSave: () => Promise<number | null>;
  onChosen: (row: Row) => void;
}

/** The choice, with a reason in the operator's words. */
export function Choosing({
  planId,
  row,
  stale,
  decisions,
  onSave,
  onChosen,
}: Props & { row: Row }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const field = useRef<HTMLTextAreaElement>(null);
  const standing = decisions.find((d) => d.withdrawnAt === null);
  const choose = useMutation({
    mutationFn: async () => {
      const planVersion = await onSave();
      if (planVersion === null) throw new Error('the plan could not be saved first');
      return answered(
        api.POST('/api/plans/{id}/decisions', {
          params: { path: { id: planId } },
          body: { id: crypto.randomUUID(), planVersion, rowId: row.id, reason: reason.trim() },
        }),
      );
    },
    onSuccess: () => {
      onChosen(row);
      setOpen(false);
      setReason('');
      void queries.invalidateQueries({ queryKey: ['decisions', planId] });
      void queries.invalidateQueries({ queryKey: ['plans'] });
    },
  });

  useEffect(() => {
    if (open) field.current?.focus();
  }, [open]);

  if (!open) {
    return (
      <div>
        <button
          type="button"
          data-shortcut="choose"
          className="action"
          disabled={stale}
          onClick={() => setOpen(true)}
        >
          {standing?.rowId === row.id ? 'Choose it again' : 'Choose this cable'}
        </button>
      </div>
    );
  }
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        choose.mutate();
      }}
    >
      <label className="flex flex-col gap-1">
        <span>Why {row.name}?</span>
        <textarea
          ref={field}
          rows={3}
          maxLength={2000}
          className="boxed"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setOpen(false);
            if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) choose.mutate();
          }}
        />
      </label>
      <span className="flex items-center gap-4">
        <button type="submit" className="action" disabled={choose.isPending || stale}>
          Keep the choice
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          not yet
        </button>
      </span>
      {choose.isError && (
        <p role="alert" className="text-fail">
          Not kept: {choose.error.message}.
        </p>
      )}
    </form>
  );
}

/** What was chosen, and whether it still rests on the figures of today. */
export function Decisions({ planId, plan, ledger, decisions, stale }: Props) {
  const queries = useQueryClient();
  const { reading } = usePreferences();
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
            {!d.withdrawnAt && (
              <button
                type="button"
                className="quiet block text-fine"
                onClick={() => withdraw.mutate(d.id)}
              >
                withdraw this choice
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
