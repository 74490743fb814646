import { Link, useLocation } from 'react-router';
import { Shell } from './Shell';

/** An address at which nothing stands. */
export function NotHere() {
  const { pathname } = useLocation();
  return (
    <Shell>
      <main className="mx-auto flex max-w-xl flex-col gap-3 px-4 py-16">
        <h1 className="text-title font-bold">There is no sheet at this address.</h1>
        <p>
          Nothing stands at <span className="figures break-all">{pathname}</span>. It may have been
          moved, or mistyped.
        </p>
        <p>
          <Link to="/plans" className="action inline-block">
            Open the plans
          </Link>
        </p>
      </main>
    </Shell>
  );
}
