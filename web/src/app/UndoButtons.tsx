import { useMemo } from 'react';
import type { Undo } from '../ui';
import { useShortcuts } from './useShortcuts';

/** Undo and redo of a sheet, by button and by key. */
export function UndoButtons<T>({ steps: { undo, redo, canUndo, canRedo } }: { steps: Undo<T> }) {
  useShortcuts(
    useMemo(() => ({ 'Ctrl+Z': undo, 'Ctrl+Shift+Z': redo, 'Ctrl+Y': redo }), [undo, redo]),
  );
  return (
    <span className="flex gap-4">
      <button type="button" className="quiet" disabled={!canUndo} onClick={undo}>
        Undo
      </button>
      <button type="button" className="quiet" disabled={!canRedo} onClick={redo}>
        Redo
      </button>
    </span>
  );
}
