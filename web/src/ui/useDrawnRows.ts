import { useVirtualizer } from '@tanstack/react-virtual';

/** As many rows are drawn beyond what is seen. */
const OVERSCAN = 40;

interface Asked {
  count: number;
  /** What one is about as high as, px. */
  rowPx: number;
  keyOf: (index: number) => string;
  /** What scrolls. */
  scroller: () => HTMLElement | null;
  /** Where the first row begins in it, px. */
  top?: number;
}

/** Which of very many rows are drawn: those that are seen, and some beyond; and how much room the others take, px. */
export function useDrawnRows({ count, rowPx, keyOf, scroller, top = 0 }: Asked) {
  // eslint-disable-next-line react-hooks/incompatible-library -- it draws anew by itself when it is scrolled
  const virtual = useVirtualizer<HTMLElement, HTMLElement>({
    count,
    getScrollElement: scroller,
    estimateSize: () => rowPx,
    getItemKey: keyOf,
    overscan: OVERSCAN,
    scrollMargin: top,
  });
  const drawn = virtual.getVirtualItems();
  return {
    drawn,
    before: (drawn[0]?.start ?? top) - top,
    after: virtual.getTotalSize() + top - (drawn.at(-1)?.end ?? top),
    measure: virtual.measureElement,
  };
}
