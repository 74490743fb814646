import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
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

/** Also who was at work when the session ended. */
type Known = Session & { was?: string };

const ROLES: readonly Role[] = ['GUEST', 'MEMBER', 'KEEPER'];

/** What is not asked for again: who is at work was just asked, and a link is used up by coming in. */
const NOT_AGAIN = new Set<unknown>([KEY[0], 'invitation']);

interface Held {
  session: Session;
  /** Whether the server has said yet who is at work. */
  isKnown: boolean;
  /** Whether somebody has to sign in first. */
  isSignInNeeded: boolean;
  /** Whether somebody was at work before; what they typed is still there. */
  hasEnded: boolean;
  may: (role: Role) => boolean;
  /** By a link to one plan: until which day it leads there. Nothing else of the workshop is at hand, and nothing is kept. */
  visitUntil: string | null;
  /** Asks anew who is at work, and for all that they see. */
  refresh: () => Promise<void>;
}

const Context = createContext<Held>({
  session: ALONE,
  isKnown: true,
  isSignInNeeded: false,
  hasEnded: false,
  may: () => true,
  visitUntil: null,
  refresh: () => Promise.resolve(),
});

/** Whoever came by a link to one plan. */
export function VisitorProvider({ until, children }: { until: string; children: React.ReactNode }) {
  const held = useMemo<Held>(
    () => ({
      session: { ...ALONE, role: null },
      isKnown: true,
      isSignInNeeded: false,
      hasEnded: false,
      may: () => false,
      visitUntil: until,
      refresh: () => Promise.resolve(),
    }),
    [until],
  );
  return <Context value={held}>{children}</Context>;
}

/** Who is at work. */
export function SessionProvider({ children }: { children: React.ReactNode }) {
  const queries = useQueryClient();
  const { data } = useQuery<Known>({ queryKey: KEY, queryFn: ask, staleTime: Infinity });
  const isKnown = data !== undefined;

  useEffect(
    () =>
      onSignedOut(() => void queries.fetchQuery({ queryKey: KEY, queryFn: () => anew(queries) })),
    [queries],
  );

  const held = useMemo<Held>(() => {
    const session: Known = data ?? ALONE;
    return {
      session,
      isKnown,
      isSignInNeeded: session.open && session.operator === null,
      hasEnded: session.was !== undefined,
      visitUntil: null,
      may: (role) => ROLES.indexOf(session.role ?? 'GUEST') >= ROLES.indexOf(role),
      refresh: async () => {
        await queries.fetchQuery({ queryKey: KEY, queryFn: () => anew(queries) });
        // not awaited: what is behind the page may take its time
        void queries.invalidateQueries({
          predicate: ({ queryKey }) => !NOT_AGAIN.has(queryKey[0]),
        });
      },
    };
  }, [data, isKnown, queries]);
  return <Context value={held}>{children}</Context>;
}

async function ask(): Promise<Known> {
  const session = await answered(api.GET('/api/session'));
  carryToken(session.csrf);
  if (session.operator !== null) keepFor(session.operator.id);
  return session;
}

/** Whose it is what this browser keeps; what somebody else left in it goes. */
const OWNER = 'eskiz.owner';

function keepFor(operator: string): void {
  const owner = localStorage.getItem(OWNER);
  if (owner !== null && owner !== operator) clearStores();
  localStorage.setItem(OWNER, operator);
}

function clearStores(): void {
  localStorage.clear();
  sessionStorage.clear();
}

/** Asks who is at work now. Where it is somebody else than before, nothing of what the page has is theirs: it begins anew. */
async function anew(queries: QueryClient): Promise<Known> {
  const before = queries.getQueryData<Known>(KEY);
  const was = before?.operator?.id ?? before?.was;
  const now = await ask();
  if (now.open && now.operator === null) return { ...now, was };
  if (was !== undefined && now.operator !== null && now.operator.id !== was)
    window.location.assign('/');
  return now;
}

export async function signOut(): Promise<void> {
  await answered(api.DELETE('/api/session'));
  forgetHere();
}

/** What was kept in this browser goes, since the next at it may be somebody else. */
export function forgetHere(): void {
  clearStores();
  window.location.assign('/');
}

export function useSession(): Held {
  return use(Context);
}
