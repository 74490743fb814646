/**
 * Follows a pressed pointer wherever it goes, until it is let go; a press that hardly moves remains a click.
 *
 * @param e the press
 * @param move gets how far the pointer is from where it was pressed, px, once that is more than a tremble
 * @param drop gets whether it was a drag, when the pointer is let go
 */
export function followPointer(
  e: React.PointerEvent,
  move: (byPx: number) => void,
  drop: (isDrag: boolean) => void,
): void {
  const startX = e.clientX;
  let isDrag = false;

  function moved(now: PointerEvent) {
    const byPx = now.clientX - startX;
    isDrag ||= Math.abs(byPx) >= TREMBLE;
    if (isDrag) move(byPx);
  }

  function ended(now: PointerEvent) {
    window.removeEventListener('pointermove', moved);
    window.removeEventListener('pointerup', ended);
    window.removeEventListener('pointercancel', ended);
    if (isDrag) swallowClick();
    drop(isDrag && now.type === 'pointerup');
  }

  window.addEventListener('pointermove', moved);
  window.addEventListener('pointerup', ended);
  window.addEventListener('pointercancel', ended);
}

/** A press that moves less is a click, px. */
const TREMBLE = 6;

/** The click that a browser makes of the end of a drag opens nothing. */
function swallowClick() {
  const swallow = (e: MouseEvent) => {
    e.stopPropagation();
    e.preventDefault();
  };
  window.addEventListener('click', swallow, { capture: true, once: true });
  setTimeout(() => window.removeEventListener('click', swallow, { capture: true }));
}
