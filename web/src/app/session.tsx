import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useEffect, useMemo } from 'react';
import { answered, api, carryToken, onSignedOut } from '../api';
import type { Role, Session } from '../api';

const KEY = ['session'];

/** A server of one operator, and of nobody else. */
const ALONE: Session = {
  open: false,
  operator: null,
  workshop: null,
  role: 'KEEPER',
  workshops: [],
  csrf: null,
};

/** Who was at work until the session ended, if it did. */
type Known = Session & { hasEnded?: boolean };

const ROLES: readonly Role[] = ['GUEST', 'MEMBER', 'KEEPER'];

/** What is not asked for again: who is at work was just asked, and a link is used up by coming in. */
const NOT_AGAIN = new Set<unknown>([KEY[0], 'invitation']);

interface Held {
  session: Session;
  /** Whether somebody has to sign in first. */
  isSignInNeeded: boolean;
  /** Whether somebody was at work before; what they typed is still there. */
  hasEnded: boolean;
  may: (role: Role) => boolean;
  /** Asks anew who is at work, and for all that they see. */
  refresh: () => Promise<void>;
}

const Context = createContext<Held>({
  session: ALONE,
  isSignInNeeded: false,
  hasEnded: false,
  may: () => true,
  refresh: () => Promise.resolve(),
});

/** Who is at work. */
export function SessionProvider({ children }: { children: React.ReactNode }) {
  const queries = useQueryClient();
  const { data } = useQuery<Known>({ queryKey: KEY, queryFn: ask, staleTime: Infinity });

  useEffect(
    () => onSignedOut(() => queries.setQueryData<Known>(KEY, (now) => now && signedOut(now))),
    [queries],
  );

  const held = useMemo<Held>(() => {
    const session: Known = data ?? ALONE;
    return {
      session,
      isSignInNeeded: session.open && session.operator === null,
      hasEnded: session.hasEnded === true,
      may: (role) => ROLES.indexOf(session.role ?? 'GUEST') >= ROLES.indexOf(role),
      refresh: async () => {
        await queries.fetchQuery({ queryKey: KEY, queryFn: ask });
        // not awaited: what is behind the page may take its time
        void queries.invalidateQueries({
          predicate: ({ queryKey }) => !NOT_AGAIN.has(queryKey[0]),
        });
      },
    };
  }, [data, queries]);
  return <Context value={held}>{children}</Context>;
}

async function ask(): Promise<Known> {
  const session = await answered(api.GET('/api/session'));
  carryToken(session.csrf);
  return session;
}

function signedOut(session: Known): Known {
  const hasEnded = session.operator !== null || session.hasEnded === true;
  return { ...session, operator: null, workshop: null, role: null, csrf: null, hasEnded };
}

export async function signOut(): Promise<void> {
  await answered(api.DELETE('/api/session'));
  forgetHere();
}

/** What was kept in this browser goes, since the next at it may be somebody else. */
export function forgetHere(): void {
  localStorage.clear();
  sessionStorage.clear();
  window.location.assign('/');
}

export function useSession(): Held {
  return use(Context);
}
