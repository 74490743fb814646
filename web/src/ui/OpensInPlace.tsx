import { useEffect, useId, useRef, useState } from 'react';

/** How far the opened part keeps from the window's edge, px. */
const EDGE = 8;

/**
 * A button that opens a small part right below itself. It stands in the document where it belongs, so that Tab leads into
 * it, and stays below its button when that is scrolled; Escape and a press outside close it.
 */
export function OpensInPlace({
  label,
  text,
  className = '',
  width = 280,
  button,
  children,
}: {
  /** What the button says to who does not see it. */
  label: string;
  text: React.ReactNode;
  className?: string;
  width?: number;
  /** More for the button, such as where it stands in a list. */
  button?: React.ButtonHTMLAttributes<HTMLButtonElement> & Record<`data-${string}`, unknown>;
  children: (close: () => void) => React.ReactNode;
}) {
  const id = useId();
  const opener = useRef<HTMLButtonElement>(null);
  const opened = useRef<HTMLDivElement>(null);
  const [place, setPlace] = useState<{ left: number; top: number } | null>(null);
  const isOpen = place !== null;

  function open() {
    if (opener.current) setPlace(below(opener.current, width));
  }

  function close() {
    setPlace(null);
    opener.current?.focus();
  }

  useEffect(() => {
    if (!isOpen) return;
    opened.current
      ?.querySelector<HTMLElement>('input, select, button')
      ?.focus({ preventScroll: true });
    const pressed = (e: PointerEvent) => {
      const where = e.target as Node;
      if (!opened.current?.contains(where) && !opener.current?.contains(where)) setPlace(null);
    };
    const moved = () => {
      if (opener.current) setPlace(below(opener.current, width));
    };
    const escaped = (e: KeyboardEvent) => {
      if (e.key !== 'Escape') return;
      e.stopPropagation();
      setPlace(null);
      opener.current?.focus();
    };
    document.addEventListener('keydown', escaped, true);
    document.addEventListener('pointerdown', pressed);
    window.addEventListener('resize', moved);
    document.addEventListener('scroll', moved, true);
    return () => {
      document.removeEventListener('keydown', escaped, true);
      document.removeEventListener('pointerdown', pressed);
      window.removeEventListener('resize', moved);
      document.removeEventListener('scroll', moved, true);
    };
  }, [isOpen, width]);

  return (
    <>
      <button
        {...button}
        ref={opener}
        type="button"
        aria-label={label}
        aria-expanded={isOpen}
        aria-controls={isOpen ? id : undefined}
        className={className}
        onClick={() => (isOpen ? close() : open())}
      >
        {text}
      </button>
      {place && (
        <div
          ref={opened}
          id={id}
          role="group"
          aria-label={label}
          className="fixed z-20 flex flex-col gap-2 border border-ink bg-paper p-3 text-left font-normal"
          style={{
            ...place,
            width,
            maxHeight: `calc(100dvh - ${place.top + EDGE}px)`,
            overflowY: 'auto',
          }}
        >
          <Opened close={close}>{children}</Opened>
        </div>
      )}
    </>
  );
}

/** Right below a button, and within the window. */
function below(button: HTMLElement, width: number): { left: number; top: number } {
  const box = button.getBoundingClientRect();
  const left = Math.max(EDGE, Math.min(box.left, window.innerWidth - width - EDGE));
  return { left, top: box.bottom + 4 };
}

/** Keeps what closes out of the drawing of the button. */
function Opened({
  close,
  children,
}: {
  close: () => void;
  children: (close: () => void) => React.ReactNode;
}) {
  return children(close);
}
