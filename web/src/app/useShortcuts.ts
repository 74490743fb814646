import { useEffect, useEffectEvent, useRef } from 'react';
import { usePreferences } from './preferences';

/** Keys by name, and what each does; two letters are pressed one after the other. */
export type Shortcuts = Record<string, () => void>;

/** The second letter of two must follow within this. */
const SEQUENCE_MS = 1200;

/** Everything there is a key for, as the list of shortcuts tells it. */
export const SHORTCUT_LIST: readonly { keys: string; what: string }[] = [
  { keys: '?', what: 'this list' },
  { keys: 'g p', what: 'go to the plans' },
  { keys: 'g c', what: 'go to the cables' },
  { keys: 'g b', what: 'go to the bench' },
  { keys: 'g i', what: 'go to the sites' },
  { keys: 'g l', what: 'go to the locker' },
  { keys: 'g h', what: 'go to the guide' },
  { keys: 'g s', what: 'go to the settings' },
  { keys: 'n', what: 'new plan, cable, test or piece: on the sheet of each' },
  { keys: '/', what: 'search plans, filter cables, tests and pieces' },
  { keys: 'o', what: 'in the locker: take out what is marked, or the piece in focus' },
  { keys: 'p', what: 'put it away; then w wet, f frozen, t trodden on' },
  { keys: 'u', what: 'read powers in watts, percent, dB, S-units' },
  { keys: '[ ]', what: 'band before, band after; also Page Up and Page Down' },
  { keys: '↑ ↓', what: 'point at the rows of the ledger; Enter picks one' },
  { keys: '← →', what: 'walk along the run, from an element; Alt carries it along' },
  { keys: 'Enter', what: 'open an element of the run; Delete takes it out' },
  { keys: 'c', what: 'choose the cable that is shown' },
  { keys: 'Ctrl+Z', what: 'undo; in an edited field its text first' },
  { keys: 'Ctrl+Shift+Z', what: 'redo' },
  { keys: 'Esc', what: 'leave a field as it was' },
];

/**
 * Keys that work while no field has the focus. Single letters can be switched off in the settings. The letter that was
 * pressed last is kept over renders: after g, a sheet that draws itself again must not take the p for its own.
 */
export function useShortcuts(shortcuts: Shortcuts): void {
  const { settings } = usePreferences();
  const keys = useRef(new Keys());
  const pressed = useEffectEvent((e: KeyboardEvent) => {
    if ((isTyping(e.target) && !isOfTheSheet(e)) || e.altKey) return;
    const action = keys.current.pressed(
      nameOf(e),
      e.timeStamp,
      shortcuts,
      settings.letterShortcuts,
    );
    if (!action) return;
    e.preventDefault();
    action();
  });
  useEffect(() => {
    const listener = (e: KeyboardEvent) => pressed(e);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
}

/** What keys mean, one after the other. */
export class Keys {
  private first = '';
  private firstAt = Number.NEGATIVE_INFINITY;

  /** What a key does, knowing the one before it; undefined for nothing. */
  pressed(
    name: string,
    atMs: number,
    shortcuts: Shortcuts,
    letters: boolean,
  ): (() => void) | undefined {
    const pair = atMs - this.firstAt < SEQUENCE_MS ? `${this.first} ${name}` : '';
    this.first = name;
    this.firstAt = atMs;
    if (!letters && name.length === 1) return undefined;
    return shortcuts[pair] ?? (beginsPair(pair) ? undefined : shortcuts[name]);
  }
}

/** The letter that all pairs begin with. */
const PAIRS_BEGIN = 'g ';

/** After a letter that begins a pair, the next one belongs to it even where the pair means nothing, on any sheet. */
function beginsPair(pair: string): boolean {
  return pair.startsWith(PAIRS_BEGIN);
}

function nameOf(e: KeyboardEvent): string {
  const control = e.ctrlKey || e.metaKey ? 'Ctrl+' : '';
  const shift = control && e.shiftKey ? 'Shift+' : '';
  return `${control}${shift}${control ? e.key.toUpperCase() : e.key}`;
}

/** Undo in a field in which nothing is being typed is the sheet's, not that of the field's text. */
function isOfTheSheet(e: KeyboardEvent): boolean {
  return (
    (e.ctrlKey || e.metaKey) &&
    e.target instanceof HTMLElement &&
    e.target.dataset.settled === 'true'
  );
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}
