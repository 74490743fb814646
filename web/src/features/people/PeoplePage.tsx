import { Link } from 'react-router';
import { signOut, useSession } from '../../app/session';
import { Shell } from '../../app/Shell';
import { ROLE_WORDS } from '../../words';
import { Links } from './Links';
import { OwnAccount } from './OwnAccount';
import { PeopleTable } from './PeopleTable';
import { usePeopleCare } from './usePeople';
import { Workshops } from './Workshops';

/** Those who work here, and oneself among them. */
export function PeoplePage() {
  const { session, may } = useSession();
  const care = usePeopleCare();
  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-3xl flex-col gap-7">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h1 className="text-title font-bold">{session.workshop?.name ?? 'People'}</h1>
            {session.role && (
              <span className="text-soft">you are a {ROLE_WORDS[session.role].name} here</span>
            )}
            <Link to="/happenings" className="quiet ml-auto">
              What happened
            </Link>
            {session.open && (
              <button type="button" className="quiet" onClick={() => void signOut()}>
                Sign out
              </button>
            )}
          </div>
          {session.open ? (
            <>
              <PeopleTable care={care} />
              {may('KEEPER') && <Links care={care} />}
              <OwnAccount />
              <Workshops />
            </>
          ) : (
            <p>
              You are alone here: this server listens on its own machine only, and nobody signs in.
              Others come in once <code>./eskiz open</code> was called on it.
            </p>
          )}
        </div>
      </main>
    </Shell>
  );
}
