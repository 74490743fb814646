import { Fragment, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useDrawnRows } from './useDrawnRows';

/** So near to the end of what was read, the next part is asked for. */
const ROWS_AHEAD = 40;

interface Props<T> {
  label: string;
  items: readonly T[];
  keyOf: (item: T) => string;
  /** What one is about as high as, px. */
  rowPx: number;
  /** Reads on; null where there is no more. */
  more: (() => void) | null;
  /** Draws one, as the li that it is. */
  children: (item: T, place: Placed) => React.ReactNode;
  /** Whether the list scrolls by itself; else what it stands in does. */
  scrolls?: boolean;
}

/** What an item of the list must carry: how its height is known, and its place for who does not see it. */
export interface Placed {
  ref: (element: HTMLLIElement | null) => void;
  'data-index': number;
  'aria-setsize': number;
  'aria-posinset': number;
}

/** A list of any length, of which only what is seen is drawn. */
export function LongListOf<T>({ label, items, keyOf, rowPx, more, children, scrolls }: Props<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  const { drawn, before, after, measure } = useDrawnRows({
    count: items.length,
    rowPx,
    keyOf: (i) => keyOf(items[i] as T),
    scroller: () => scrollerOf(list.current),
    top,
  });
  // what stands above the list may grow and shrink
  useLayoutEffect(() => {
    const scroller = scrollerOf(list.current);
    if (!scroller?.firstElementChild || scroller === list.current) return;
    const observer = new ResizeObserver(() => setTop(offsetWithin(list.current, scroller)));
    observer.observe(scroller.firstElementChild);
    return () => observer.disconnect();
  }, []);
  const last = drawn.at(-1)?.index ?? -1;
  const isNearEnd = last >= items.length - ROWS_AHEAD;
  useEffect(() => {
    if (isNearEnd) more?.();
  }, [isNearEnd, more]);
  return (
    <ul
      ref={list}
      aria-label={label}
      data-scroller={scrolls ? '' : undefined}
      className={scrolls ? 'min-h-0 flex-1 overflow-y-auto' : ''}
    >
      <li aria-hidden="true" style={{ height: before }} />
      {drawn.map(({ index, key }) => (
        <Fragment key={key}>
          {children(items[index] as T, {
            ref: measure,
            'data-index': index,
            'aria-setsize': items.length,
            'aria-posinset': index + 1,
          })}
        </Fragment>
      ))}
      <li aria-hidden="true" style={{ height: after }} />
    </ul>
  );
}

/** The list itself, or what it stands in. */
function scrollerOf(list: HTMLElement | null): HTMLElement | null {
  return list?.closest<HTMLElement>('[data-scroller]') ?? null;
}

function offsetWithin(element: HTMLElement | null, scroller: HTMLElement): number {
  if (!element) return 0;
  return (
    element.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop
  );
}
