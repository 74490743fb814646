import { words } from '../../../words';
import type { Sheet } from '../sheetContext';

/** How a row stands to the run: suggested, picked or chosen where it lies in it; chosen alone where something else does. */
export function standingOf(
  id: string,
  { rowId, follows, chosen }: Pick<Sheet, 'rowId' | 'follows' | 'chosen'>,
): string {
  if (id !== rowId) return id === chosen ? `${words.standing.CHOSEN}, not in the run` : '';
  const how = id === chosen ? 'CHOSEN' : follows ? 'SUGGESTED' : 'PICKED';
  return `${words.standing[how]}, in the run`;
}
