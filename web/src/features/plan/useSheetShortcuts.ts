import { useMemo } from 'react';
import { usePreferences } from '../../app/preferences';
import { useShortcuts } from '../../app/useShortcuts';
import { nextReading, shownReading } from '../../units';
import { bandsOf } from './document/model';
import type { PlanEditing } from './document/usePlanEditing';
import type { Sheet } from './sheetContext';

/** The keys of the sheet: how figures are read, the band before and after, the choice, undo and redo. */
export function useSheetShortcuts(sheet: Sheet, editing: PlanEditing): void {
  const { reading, setReading } = usePreferences();
  const { plan, focus, focusBand, hasWatts } = sheet;
  const { undo, redo } = editing;
  const last = bandsOf(plan).length - 1;
  useShortcuts(
    useMemo(() => {
      const before = () => focusBand(Math.max(0, focus - 1));
      const after = () => focusBand(Math.min(last, focus + 1));
      return {
        u: () => setReading(nextReading(shownReading(reading, hasWatts), hasWatts)),
        '[': before,
        ']': after,
        PageUp: before,
        PageDown: after,
        c: () => document.querySelector<HTMLButtonElement>('[data-shortcut=choose]')?.click(),
        'Ctrl+Z': undo,
        'Ctrl+Shift+Z': redo,
        'Ctrl+Y': redo,
      };
    }, [setReading, reading, hasWatts, focusBand, focus, last, undo, redo]),
  );
}
