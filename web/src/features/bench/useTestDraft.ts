import { useEffect, useState } from 'react';
import type { BenchFile, BenchNotes } from '../../api';
import { useKept } from '../../ui';

/** What is being noted, and kept by the browser until it is stored. */
export interface TestDraft {
  notes: BenchNotes;
  files: BenchFile[];
}

/** A test as it is noted; what is changed and not stored is kept by the browser. */
export function useTestDraft(begun: TestDraft) {
  const draftStore = useKept<TestDraft>('notes');
  const [start] = useState(begun);
  const [draft, setDraft] = useState<TestDraft>(() => draftStore.read() ?? start);
  const { notes } = draft;
  const isChanged = JSON.stringify(notes) !== JSON.stringify(start.notes);
  useEffect(() => {
    if (isChanged) draftStore.keep(draft);
    else draftStore.forget();
  }, [draftStore, draft, isChanged]);

  function addFile(file: BenchFile) {
    setDraft((d) => ({ ...d, files: [...d.files.filter((f) => f.id !== file.id), file] }));
  }

  return {
    draft,
    setDraft,
    isChanged,
    addFile,
    forget: () => draftStore.forget(),
    startAgain: () => {
      draftStore.forget();
      setDraft(start);
    },
  };
}
