import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A term of the trade, which leads to the glossary. */
export function Term({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Link
      to={`/guide#${of}`}
      className="underline decoration-hairline decoration-dotted underline-offset-2 hover:text-blue hover:decoration-blue"
    >
      {children}
    </Link>
  );
}
