import { useEffect } from 'react';

/** What can have the focus. */
const FOCUSABLE = 'a[href], button:not([disabled]), input:not([disabled]), [tabindex="0"]';

/**
 * Where what has the focus goes away, its surroundings get it: it is never dropped to the page, from where a keyboard
 * would have to begin anew.
 */
export function useFocusKept(): void {
  useEffect(() => {
    let path: HTMLElement[] = [];
    const remember = (e: FocusEvent) => {
      path = e.target instanceof HTMLElement ? withParents(e.target) : [];
    };
    const rescue = () => {
      const [focused] = path;
      if (!focused || focused.isConnected || document.activeElement !== document.body) return;
      const left = path.find((e) => e.isConnected && e !== document.body);
      path = [];
      (left?.querySelector<HTMLElement>(FOCUSABLE) ?? left)?.focus();
    };
    const observer = new MutationObserver(rescue);
    document.addEventListener('focusin', remember);
    observer.observe(document.body, { childList: true, subtree: true });
    return () => {
      document.removeEventListener('focusin', remember);
      observer.disconnect();
    };
  }, []);
}

function withParents(element: HTMLElement): HTMLElement[] {
  const path: HTMLElement[] = [];
  for (let e: HTMLElement | null = element; e; e = e.parentElement) path.push(e);
  return path;
}
