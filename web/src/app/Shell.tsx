import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useMemo, useState } from 'react';
import { NavLink, useNavigate } from 'react-router';
import { useFocusKept } from './useFocusKept';
import { SHORTCUT_LIST, useShortcuts } from './useShortcuts';
import { sentences } from '../words';

const SHEET =
  'flex items-center border-b-2 border-transparent text-soft hover:text-ink aria-[current=page]:border-blue aria-[current=page]:text-ink';

/** The head of every sheet. */
export function Shell({ here, children }: { here?: string; children: React.ReactNode }) {
  const navigate = useNavigate();
  const [listing, setListing] = useState(false);
  useFocusKept();
  useShortcuts(
    useMemo(
      () => ({
        '?': () => setListing(true),
        'g p': () => void navigate('/plans'),
        'g c': () => void navigate('/cables'),
        'g b': () => void navigate('/bench'),
        'g l': () => void navigate('/locker'),
        'g h': () => void navigate('/guide'),
        'g s': () => void navigate('/settings'),
      }),
      [navigate],
    ),
  );

  return (
    <div className="flex min-h-dvh flex-col min-[900px]:h-dvh print:h-auto">
      <header className="flex h-[34px] shrink-0 items-stretch gap-6 border-b border-hairline px-4 max-[899px]:h-11 max-[899px]:gap-3.5 max-[899px]:px-3 max-[899px]:text-body print:hidden">
        <NavLink to="/plans" className="flex items-center text-heading font-bold tracking-tight">
          Eskiz
        </NavLink>
        <nav
          aria-label="sheets"
          className="flex min-w-0 flex-1 items-stretch gap-6 max-[899px]:gap-3.5"
        >
          <NavLink to="/plans" end className={SHEET}>
            Plans
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
        </nav>
        <button
          type="button"
          className="w-8 text-soft hover:text-ink max-[899px]:hidden"
          aria-label="shortcuts"
          onClick={() => setListing(true)}
        >
          ?
        </button>
      </header>
      {children}
      <ShortcutList open={listing} onClose={() => setListing(false)} />
    </div>
  );
}

function ShortcutList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 flex items-center justify-center bg-ink/30 p-4">
        <DialogPanel className="max-h-full w-[420px] overflow-auto border border-ink bg-paper p-5">
          <DialogTitle className="mb-3 text-heading font-bold">Shortcuts</DialogTitle>
          <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
            {SHORTCUT_LIST.map(({ keys, what }) => (
              <div key={keys} className="contents">
                <dt className="figures font-semibold whitespace-nowrap">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 text-fine text-soft">{sentences.lettersRest}</p>
          <button type="button" className="action mt-4" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
