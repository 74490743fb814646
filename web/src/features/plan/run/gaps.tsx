import { runOf } from '../document/model';
import { elementName } from './elements';
import type { Sheet } from '../sheetContext';

/** What a gap of the run lies between. */
export function gapLabel(sheet: Sheet, at: number): string {
  const run = runOf(sheet.plan);
  const before = run[at - 1];
  const after = run[at];
  const name = (e: typeof before, end: string) => (e ? elementName(e, sheet) : end);
  return `add between ${name(before, 'the radio')} and ${name(after, 'the antenna')}`;
}

export function PlusMark() {
  return (
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
      <path d="M7 1v12M1 7h12" stroke="currentColor" strokeWidth="1.5" />
    </svg>
  );
}
