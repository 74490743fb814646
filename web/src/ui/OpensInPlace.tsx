import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEffect, useRef } from 'react';

/** How far the opened part keeps from its button and from the window's edge, px. */
const GAP = 4;
const EDGE = 8;

/** A button that opens a small part right below itself, with the focus in it; Escape and a press outside close it. */
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
  return (
    <Popover className="contents">
      <PopoverButton {...button} aria-label={label} className={className}>
        {text}
      </PopoverButton>
      <PopoverPanel
        focus
        anchor={{ to: 'bottom start', gap: GAP, padding: EDGE }}
        role="group"
        aria-label={label}
        className="z-20 flex flex-col gap-2 border border-ink bg-paper p-3 text-left font-normal"
        style={{ width }}
      >
        {({ close }) => <Opened close={close}>{children}</Opened>}
      </PopoverPanel>
    </Popover>
  );
}

/** The part itself: its first field gets the focus, so that one types at once. */
function Opened({
  close,
  children,
}: {
  close: () => void;
  children: (close: () => void) => React.ReactNode;
}) {
  const here = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    here.current?.parentElement
      ?.querySelector<HTMLElement>('input, select, button')
      ?.focus({ preventScroll: true });
  }, []);
  return (
    <>
      <span ref={here} hidden />
      {children(close)}
    </>
  );
}
