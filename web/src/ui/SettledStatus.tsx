import { useEffect, useState } from 'react';

/** So long after the last change a sentence is read out. */
const SETTLED_MS = 700;

/** For screen readers: what changed, once it has ceased to change, without interrupting. */
export function SettledStatus({ text }: { text: string }) {
  const [settled, setSettled] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <p role="status" className="sr-only" data-testid="settled">
      {settled}
    </p>
  );
}
