import { useRouteError } from 'react-router';
import { sentences } from '../words';

/** What stands in place of a sheet that could not be drawn: our fault, and nothing is lost by it. */
export function Broken() {
  const error = useRouteError();
  return (
    <main className="flex max-w-[60ch] flex-col gap-3 p-8">
      <h1 className="text-title font-bold">This sheet could not be drawn.</h1>
      <p>{sentences.brokenSheet}</p>
      <p className="figures text-fine text-soft">
        {error instanceof Error ? error.message : String(error)}
      </p>
      <span className="flex gap-4">
        <button type="button" className="action" onClick={() => window.location.reload()}>
          Try it again
        </button>
        <a className="quiet self-center" href="/plans">
          to the plans
        </a>
      </span>
    </main>
  );
}
