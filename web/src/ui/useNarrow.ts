import { useSyncExternalStore } from 'react';

/** Below this a sheet is read on a phone, in the field. */
const NARROW = '(max-width: 640px)';

function subscribe(changed: () => void): () => void {
  const query = window.matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the sheet is as narrow as a phone. */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches);
}
