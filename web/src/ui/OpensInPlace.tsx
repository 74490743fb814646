import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';

/** How far the opened part keeps from its button and from the window's edge, px. */
const GAP = 4;
const EDGE = 8;

/**
 * A button that opens a small part right below itself, with the focus in it; Escape and a press outside close it. It stands
 * in the document where it belongs, so that Tab leads into it, and stays below its button when that is scrolled.
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
  const opener = useRef<HTMLButtonElement>(null);
  return (
    <Popover className="contents">
      <PopoverButton {...button} ref={opener} aria-label={label} className={className}>
        {text}
      </PopoverButton>
      <PopoverPanel focus className="contents">
        {({ close }) => (
          <Opened label={label} opener={opener} width={width} close={close}>
            {children}
          </Opened>
        )}
      </PopoverPanel>
    </Popover>
  );
}

/** The part itself: its first field gets the focus, so that one types at once. */
function Opened({
  label,
  opener,
  width,
  close,
  children,
}: {
  label: string;
  opener: React.RefObject<HTMLButtonElement | null>;
  width: number;
  close: () => void;
  children: (close: () => void) => React.ReactNode;
}) {
  const here = useRef<HTMLDivElement>(null);
  const place = usePlaceBelow(opener, width);
  useEffect(() => {
    here.current
      ?.querySelector<HTMLElement>('input, select, button')
      ?.focus({ preventScroll: true });
  }, []);
  return (
    <div
      ref={here}
      role="group"
      aria-label={label}
      className="fixed z-20 flex flex-col gap-2 overflow-y-auto border border-ink bg-paper p-3 text-left font-normal"
      style={{ ...place, width, maxHeight: `calc(100dvh - ${place.top + EDGE}px)` }}
    >
      {children(close)}
    </div>
  );
}

interface PlaceOnScreen {
  left: number;
  top: number;
}

/** Right below a button, wherever that is scrolled to, and within the window. */
function usePlaceBelow(
  button: React.RefObject<HTMLButtonElement | null>,
  width: number,
): PlaceOnScreen {
  const [place, setPlace] = useState<PlaceOnScreen>({ left: EDGE, top: EDGE });
  useLayoutEffect(() => {
    const moved = () => {
      if (button.current) setPlace(below(button.current, width));
    };
    moved();
    window.addEventListener('resize', moved);
    document.addEventListener('scroll', moved, true);
    return () => {
      window.removeEventListener('resize', moved);
      document.removeEventListener('scroll', moved, true);
    };
  }, [button, width]);
  return place;
}

function below(button: HTMLElement, width: number): PlaceOnScreen {
  const box = button.getBoundingClientRect();
  const left = Math.max(EDGE, Math.min(box.left, window.innerWidth - width - EDGE));
  return { left, top: box.bottom + GAP };
}
