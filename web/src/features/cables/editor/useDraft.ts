import { useEffect, useState } from 'react';
import type { CableType } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { useKept } from '../../../ui';
import { draftOf, troublesIn } from './draft';
import type { Draft } from './draft';

/** A draft while it is typed. */
export interface DraftEditing {
  draft: Draft;
  set: (change: Partial<Draft>) => void;
  /** Whether it was tried to store it: from then on it is told what is wrong. */
  tried: boolean;
  try: () => void;
  troubles: ReturnType<typeof troublesIn>;
  /** Forgets what was typed. */
  forget: () => void;
}

/** What is typed of a type, kept over a reload until it is stored or given up. */
export function useDraft(type: CableType | null, isCopy: boolean): DraftEditing {
  const { settings } = usePreferences();
  const kept = useKept<Draft>(`${isCopy ? 'copy of ' : ''}${type?.key ?? 'new'}`);
  const [draft, setDraft] = useState<Draft>(
    () => kept.read() ?? copied(draftOf(type, settings.currency), isCopy),
  );
  const [tried, setTried] = useState(false);
  useEffect(() => kept.keep(draft), [kept, draft]);
  return {
    draft,
    set: (change) => setDraft((before) => ({ ...before, ...change })),
    tried,
    try: () => setTried(true),
    troubles: troublesIn(draft),
    forget: kept.forget,
  };
}

function copied(draft: Draft, isCopy: boolean): Draft {
  return isCopy ? { ...draft, name: `${draft.name}, copy` } : draft;
}
