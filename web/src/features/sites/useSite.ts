import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api';
import { answered, api, Refused } from '../../api';
import { useSession } from '../../app/session';

export type SiteDocument = Schemas['SiteDocument'];
export type SiteSheet = Schemas['SiteSheetResponse'];
export type SiteRun = Schemas['SiteRunResponse'];
type Site = Schemas['SiteResponse'];

/** A pause this long after the last change, and it is saved. */
const SAVED_AFTER_MS = 700;

/** What is said of a site, as it is edited; saved by itself after a pause. */
export function useSite(name: string) {
  const queries = useQueryClient();
  const mayKeep = useSession().may('MEMBER');
  const query = useQuery({
    queryKey: ['site', name],
    queryFn: ({ signal }) =>
      answered(api.GET('/api/sites/{name}', { params: { path: { name } }, signal })),
    staleTime: Infinity,
    gcTime: 0,
  });
  const [edited, setEdited] = useState<SiteDocument | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [theirs, setTheirs] = useState<Site | null>(null);
  const version = useRef<number | null>(null);
  const stored = query.data;
  useEffect(() => {
    version.current = stored?.version ?? null;
  }, [stored]);

  const document = edited ?? stored?.document;
  const save = useCallback(
    async (said: SiteDocument) => {
      try {
        const now = await answered(
          api.PUT('/api/sites/{name}', {
            params: { path: { name } },
            body: { document: said, ...(version.current !== null && { version: version.current }) },
          }),
        );
        version.current = now.version;
        queries.setQueryData(['site', name], now);
        setEdited((latest) => (latest === said ? null : latest));
        setProblem(null);
      } catch (e) {
        if (e instanceof Refused && e.problem.status === 409) setTheirs(currentOf(e));
        else setProblem(e instanceof Error ? e.message : String(e));
      }
    },
    [name, queries],
  );

  // a change that still waits for its pause is saved when the sheet is left
  const waiting = useRef<SiteDocument | null>(null);
  useEffect(() => {
    waiting.current = mayKeep ? edited : null;
  }, [edited, mayKeep]);
  useEffect(() => () => void (waiting.current && save(waiting.current)), [save]);

  useEffect(() => {
    if (!edited || theirs || !mayKeep) return;
    const pause = setTimeout(() => void save(edited), SAVED_AFTER_MS);
    return () => clearTimeout(pause);
  }, [edited, save, theirs, mayKeep]);

  return {
    name,
    document,
    plans: stored?.plans ?? 0,
    error: query.error,
    /** Whether what is changed is kept at all: a guest’s changes stay in their window. */
    mayKeep,
    isSaved: edited === null,
    problem,
    change: setEdited,
    theirs,
    /** Settles who is right where two changed it: theirs stands, or mine goes over it. */
    settle(take: 'theirs' | 'mine') {
      version.current = theirs?.version ?? null;
      if (take === 'theirs' && theirs) {
        queries.setQueryData(['site', name], theirs);
        setEdited(null);
      }
      setTheirs(null);
    },
  };
}

function currentOf(conflict: Refused): Site {
  return conflict.problem.current as unknown as Site;
}

/** All runs of a site together, for what is said of it; the last figures stay until the next are there. */
export function useSiteSheet(name: string, document: SiteDocument | undefined) {
  return useQuery({
    queryKey: ['site', name, 'sheet', document],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/sites/{name}/sheet', {
          params: { path: { name } },
          body: document as SiteDocument,
          signal,
        }),
      ),
    enabled: document !== undefined,
    placeholderData: (before) => before,
    staleTime: 30_000,
  });
}
