import { useCallback, useEffect, useRef, useState } from 'react';

/** How far ahead of what is seen a list is drawn, px. */
const AHEAD = '800px';

/**
 * The beginning of a long list, as far as it was looked at: what nobody has come near is not drawn. What is searched for is searched
 * in all of it.
 *
 * @param step how many more at a time
 * @returns what is drawn, and what {@link EndOfSeen} has to know at the end of the list; null where all of it is drawn
 */
export function useAsFarAsSeen<T>(all: readonly T[], step = 60) {
  const [count, setCount] = useState(step);
  const more = useCallback(() => setCount((before) => before + step), [step]);
  const isLonger = all.length > count;
  return {
    seen: isLonger ? all.slice(0, count) : all,
    // another end each time, so that one that is still near is told anew
    end: isLonger ? { key: `up to ${count}`, more } : null,
  };
}

/** Stands at the end of what is drawn of a list, and tells when it comes near to what is seen. */
export function EndOfSeen({ as: Tag, onNear }: { as: 'li' | 'div'; onNear: () => void }) {
  const here = useRef<HTMLElement>(null);
  useEffect(() => {
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) onNear();
      },
      { rootMargin: AHEAD },
    );
    if (here.current) observer.observe(here.current);
    return () => observer.disconnect();
  }, [onNear]);
  return <Tag ref={here as React.Ref<never>} aria-hidden="true" className="block h-px" />;
}
