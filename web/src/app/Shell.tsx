import { lazy, Suspense, useMemo, useState } from 'react';
import { NavLink, useNavigate } from 'react-router';
import { dateText, peopleWords } from '../words';
import { useSession } from './session';
import { useFocusKept } from './useFocusKept';
import { useShortcuts } from './useShortcuts';

// few ask for it, and dialogs are a good part of a page
const ShortcutList = lazy(() => import('./ShortcutList'));

const SHEET =
  'flex items-center border-b-2 border-transparent text-soft hover:text-ink aria-[current=page]:border-blue aria-[current=page]:text-ink';

/** The head of every sheet. */
export function Shell({ here, children }: { here?: string; children: React.ReactNode }) {
  const navigate = useNavigate();
  const { session, visitUntil } = useSession();
  const [listing, setListing] = useState(false);
  useFocusKept();
  useShortcuts(
    useMemo(
      () => ({
        '?': () => setListing(true),
        ...(visitUntil === null && {
          'g p': () => void navigate('/plans'),
          'g i': () => void navigate('/sites'),
          'g c': () => void navigate('/cables'),
          'g b': () => void navigate('/bench'),
          'g l': () => void navigate('/locker'),
          'g h': () => void navigate('/guide'),
          'g s': () => void navigate('/settings'),
        }),
      }),
      [navigate, visitUntil],
    ),
  );

  return (
    <div className="flex min-h-dvh flex-col min-[900px]:h-dvh print:h-auto">
      <header className="flex h-[34px] shrink-0 items-stretch gap-6 border-b border-hairline px-4 max-[899px]:h-11 max-[899px]:gap-3.5 max-[899px]:px-3 max-[899px]:text-body max-[479px]:gap-2 print:hidden">
        {visitUntil === null ? <Sheets here={here} /> : <Visited here={here} until={visitUntil} />}
        <button
          type="button"
          className="w-8 text-soft hover:text-ink max-[899px]:hidden"
          aria-label="shortcuts"
          onClick={() => setListing(true)}
        >
          ?
        </button>
      </header>
      {visitUntil !== null && (
        <p className="border-b border-hairline px-4 py-1 text-fine text-soft min-[900px]:hidden print:hidden">
          {peopleWords.visiting(dateText(visitUntil))}
        </p>
      )}
      {session.role === 'GUEST' && (
        <p className="border-b border-hairline px-4 py-1 text-fine text-soft print:hidden">
          {peopleWords.guestLooks}
        </p>
      )}
      {children}
      {listing && (
        <Suspense>
          <ShortcutList onClose={() => setListing(false)} />
        </Suspense>
      )}
    </div>
  );
}

/** Where one can go. */
function Sheets({ here }: { here?: string }) {
  const { session } = useSession();
  return (
    <>
      <NavLink to="/plans" className="flex items-center text-heading font-bold tracking-tight">
        Eskiz
      </NavLink>
      <nav
        aria-label="sheets"
        className="flex min-w-0 flex-1 items-stretch gap-6 max-[899px]:gap-3.5 max-[479px]:gap-2"
      >
        <NavLink to="/plans" end className={SHEET}>
          Plans
        </NavLink>
        <NavLink to="/sites" end className={SHEET}>
          Sites
        </NavLink>
        <NavLink to="/cables" className={SHEET}>
          Cables
        </NavLink>
        <NavLink to="/bench" end className={SHEET}>
          Bench
        </NavLink>
        <NavLink to="/locker" end className={SHEET}>
          Locker
        </NavLink>
        {here && (
          <span aria-current="page" className={`min-w-0 max-[899px]:hidden ${SHEET}`}>
            <span className="truncate">{here}</span>
          </span>
        )}
        <NavLink to="/guide" className={`ml-auto ${SHEET}`}>
          Guide
        </NavLink>
        <NavLink to="/settings" className={SHEET}>
          Settings
        </NavLink>
        {session.open && (
          <NavLink to="/people" className={`max-w-[14ch] max-[899px]:hidden ${SHEET}`}>
            <span className="truncate">{session.operator?.name ?? 'People'}</span>
          </NavLink>
        )}
      </nav>
    </>
  );
}

/** What somebody sees who came by a link: what it is, and that nothing of it is kept. */
function Visited({ here, until }: { here?: string; until: string }) {
  return (
    <>
      <span className="flex items-center text-heading font-bold tracking-tight">Eskiz</span>
      <span className="flex min-w-0 flex-1 items-center gap-4">
        <span aria-current="page" className="truncate">
          {here}
        </span>
        <span className="truncate text-fine text-soft max-[899px]:hidden">
          {peopleWords.visiting(dateText(until))}
        </span>
      </span>
    </>
  );
}
