import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSession } from '../../../app/session';
import { usePlanEvents } from './usePlanEvents';
import type { PlanEditing } from './usePlanEditing';

/** Who else has this plan open, and what they changed last. */
export interface Together {
  /** Their names, each once; one's own other windows are told as such. */
  here: string[];
  /** What was taken over from them, in a sentence. */
  news: string | null;
}

/** Several people at one plan: what each saves is seen by the others, and taken over where it does not clash. */
export function useTogether(planId: string, editing: PlanEditing): Together {
  const queries = useQueryClient();
  const { session, visitUntil } = useSession();
  const [by, setBy] = useState<string | null>(null);
  const others = usePlanEvents(visitUntil === null ? planId : null, {
    onStored: (version, name) => {
      setBy(name);
      void editing.look(version);
    },
    onChosen: () => void queries.invalidateQueries({ queryKey: ['decisions', planId] }),
  });
  const isMe = (id: string) => session.operator === null || session.operator.id === id;
  const here = others.map((o) => (isMe(o.id) ? 'you, in another window' : o.name));
  const { takenOver } = editing;
  const who = by !== null && by !== session.operator?.name ? by : 'another window';
  return {
    here: [...new Set(here)],
    news: takenOver && `${takenOver.join(', ')} changed by ${who}`,
  };
}
