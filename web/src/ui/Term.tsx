import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A term of the trade, which leads to where it is drawn and explained. */
export function Term({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Link
      to={`/cables/anatomy#${of}`}
      className="underline decoration-hairline decoration-dotted underline-offset-2 hover:text-blue hover:decoration-blue"
    >
      {children}
    </Link>
  );
}
