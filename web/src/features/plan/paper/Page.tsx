import { useLayoutEffect, useRef } from 'react';
import type { ReactNode } from 'react';

/** Tried one after the other until everything is on the page. */
const ZOOMS = [1, 0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.65, 0.6, 0.55, 0.5, 0.45, 0.4];

/** One page of paper at its real size. What would not fit is set smaller, never left out. */
export function Page({
  format,
  label,
  children,
}: {
  format: 'a4' | 'letter';
  label: string;
  children: ReactNode;
}) {
  const page = useRef<HTMLElement>(null);
  const content = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const outer = page.current;
    const inner = content.current;
    if (!outer || !inner) return;
    const style = getComputedStyle(outer);
    const room =
      outer.clientHeight - parseFloat(style.paddingTop) - parseFloat(style.paddingBottom);
    for (const zoom of ZOOMS) {
      inner.style.zoom = String(zoom);
      if (inner.getBoundingClientRect().height <= room + 1) break;
    }
  });
  return (
    <article ref={page} aria-label={label} data-page className={`on-paper page-${format}`}>
      <div ref={content}>{children}</div>
    </article>
  );
}
