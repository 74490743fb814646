import { useState } from 'react';
import { useSession } from '../../app/session';
import { TextField } from '../../ui';
import { capital } from '../../words';
import { useWorkshops } from './usePeople';

/** The workshops that one belongs to; what is in one is not seen from another. */
export function Workshops() {
  const { session, may, refresh } = useSession();
  const { goTo, rename, begin } = useWorkshops(refresh);
  const [typed, setTyped] = useState<string | null>(null);
  const [name, setName] = useState('');
  const here = session.workshop;
  const failed = [goTo, rename, begin].find((m) => m.isError)?.error;
  return (
    <section aria-label="workshops" className="flex flex-col gap-3">
      <h2 className="border-b border-ink pb-1 font-semibold">Workshops</h2>
      <p className="text-soft">
        Plans, cables, tests and pieces belong to a workshop: a household, a club. What is in one is
        not seen from another.
      </p>
      <ul>
        {session.workshops.map((w) => (
          <li
            key={w.id}
            className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-1"
          >
            {w.id === here?.id && may('KEEPER') ? (
              <span
                className="flex-1"
                onBlur={() => {
                  if (typed !== null && typed.trim() !== w.name) rename.mutate(typed.trim());
                  setTyped(null);
                }}
              >
                <TextField
                  label="name of the workshop"
                  className="w-full"
                  value={typed ?? w.name}
                  onCommit={setTyped}
                />
              </span>
            ) : (
              <span className="flex-1">{w.name}</span>
            )}
            {w.id === here?.id ? (
              <span className="text-soft">you are here</span>
            ) : (
              <button type="button" className="quiet" onClick={() => goTo.mutate(w.id)}>
                go there
              </button>
            )}
          </li>
        ))}
      </ul>
      {may('KEEPER') && (
        <form
          aria-label="another workshop"
          className="flex flex-wrap items-baseline gap-x-3"
          onSubmit={(e) => {
            e.preventDefault();
            begin.mutate(name.trim(), { onSuccess: () => setName('') });
          }}
        >
          <input
            aria-label="name of another workshop"
            placeholder="another workshop"
            className="boxed min-h-7"
            maxLength={100}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button type="submit" className="quiet" disabled={name.trim() === '' || begin.isPending}>
            begin it
          </button>
        </form>
      )}
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}.
        </p>
      )}
    </section>
  );
}
