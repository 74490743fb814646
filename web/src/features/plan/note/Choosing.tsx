import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { Row } from '../../../api';
import { answered, api } from '../../../api';
import { ownCablesOf, runOf } from '../document/model';
import { laid } from '../ledger/mix';
import { useIsWaiting, useSheet } from '../sheetContext';

/** The choice, with a reason in the operator's words. */
export function Choosing({ row }: { row: Row }) {
  const { plan, planId, stale, chosen, command, saveNow } = useSheet();
  const isWaiting = useIsWaiting();
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [kept, setKept] = useState<string | null>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const choose = useMutation({
    mutationFn: async (decided: Row) => {
      const planVersion = await saveNow();
      if (planVersion === null) throw new Error('the plan could not be saved first');
      return answered(
        api.POST('/api/plans/{id}/decisions', {
          params: { path: { id: planId } },
          body: { id: crypto.randomUUID(), planVersion, rowId: decided.id, reason: reason.trim() },
        }),
      );
    },
    onSuccess: (_, decided) => {
      command({ do: 'pick', run: laid(runOf(plan), decided, ownCablesOf(plan)) });
      setKept(decided.name);
      setOpen(false);
      setReason('');
      void queries.invalidateQueries({ queryKey: ['decisions', planId] });
      void queries.invalidateQueries({ queryKey: ['plans'] });
    },
  });

  useEffect(() => {
    if (!open) return;
    field.current?.focus();
    field.current?.form?.scrollIntoView?.({ block: 'nearest' });
  }, [open]);

  if (!open) {
    return (
      <div>
        <button
          type="button"
          data-shortcut="choose"
          className="action"
          disabled={stale || isWaiting}
          onClick={() => {
            setOpen(true);
            setKept(null);
          }}
        >
          {chosen === row.id ? 'Choose it again' : 'Choose this cable'}
        </button>
        {kept !== null && (
          <p role="status" className="mt-1 border-l-[3px] border-pass pl-2">
            {kept} is chosen. It stands below with today’s figures.
          </p>
        )}
      </div>
    );
  }
  return (
    <form
      className="flex flex-col gap-2 border-l-[3px] border-blue pl-2"
      onSubmit={(e) => {
        e.preventDefault();
        choose.mutate(row);
      }}
    >
      <label className="flex flex-col gap-1">
        <span className="font-semibold">Why {row.name}?</span>
        <textarea
          ref={field}
          rows={3}
          maxLength={2000}
          placeholder="Your reason; it is kept with the choice."
          className="boxed"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setOpen(false);
            if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) choose.mutate(row);
          }}
        />
      </label>
      <span className="flex items-center gap-4">
        <button type="submit" className="action" disabled={choose.isPending || stale || isWaiting}>
          Keep the choice
        </button>
        <button type="button" className="quiet" onClick={() => setOpen(false)}>
          Cancel
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
