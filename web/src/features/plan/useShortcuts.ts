import { useEffect } from 'react';

/** A key as it is written in the list of shortcuts, and what it does. */
export type Shortcuts = Record<string, () => void>;

/** Keys that work while no field has the focus; Ctrl+Z and Ctrl+Shift+Z undo a field's own text first. */
export function useShortcuts(shortcuts: Shortcuts): void {
  useEffect(() => {
    function pressed(e: KeyboardEvent) {
      if (isTyping(e.target) || e.altKey) return;
      const action = shortcuts[nameOf(e)];
      if (!action) return;
      e.preventDefault();
      action();
    }
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [shortcuts]);
}

function nameOf(e: KeyboardEvent): string {
  const control = e.ctrlKey || e.metaKey ? 'Ctrl+' : '';
  const shift = control && e.shiftKey ? 'Shift+' : '';
  return `${control}${shift}${control ? e.key.toUpperCase() : e.key}`;
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}
