import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Schemas } from '../../api';
import { answered, api } from '../../api';
import { Autosaver } from '../../app/autosaver';
import { useSession } from '../../app/session';
import { useUndo } from '../../ui';

export type SiteDocument = Schemas['SiteDocument'];
export type SiteSheet = Schemas['SiteSheetResponse'];
export type SiteRun = Schemas['SiteRunResponse'];
export type Site = Schemas['SiteResponse'];

/** What is stored of a site; before anything was said of it, under no version. */
interface StoredSite {
  version: number;
  updatedAt: string;
  document: SiteDocument;
}

const NO_VERSION = -1;
const NEVER = '1970-01-01T00:00:00Z';

/** As the server answers it; in a conflict it stands under a version always. */
function storedSite({ version, updatedAt, document }: Site): StoredSite {
  return { version: version ?? NO_VERSION, updatedAt: updatedAt ?? NEVER, document };
}

const EDITABLE = {
  of: (stored: StoredSite) => stored.document,
  saysTheSame: (one: SiteDocument, other: SiteDocument) => told(one) === told(other),
  merged: () => null,
};

/** Without what says nothing: the server answers null for it. */
function told(document: SiteDocument): string {
  return JSON.stringify(document, (_, value) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, v]) => v !== null && v !== undefined)
            .sort(([a], [b]) => (a < b ? -1 : 1)),
        )
      : value,
  );
}

/** What is said of a site, until it was read; it is read once, and edited from there. */
export function useStoredSite(site: string) {
  return useQuery({
    queryKey: ['site', site],
    queryFn: ({ signal }) =>
      answered(api.GET('/api/sites/document', { params: { query: { site } }, signal })),
    staleTime: Infinity,
    gcTime: 0,
  });
}

async function saveSite(site: string, document: SiteDocument, version: number) {
  const saved = await answered(
    api.PUT('/api/sites/document', {
      params: { query: { site } },
      body: { document, ...(version !== NO_VERSION && { version }) },
    }),
  );
  return storedSite(saved);
}

/** What is said of a site as it is edited, with undo; saved by itself, over the version that it went out from. */
export function useSiteEditing(site: Site) {
  // a guest's changes stay in the window
  const isKept = useSession().may('MEMBER');
  const [document, setDocument] = useState(site.document);
  const steps = useUndo(document, setDocument);
  const latest = useRef(document);
  useEffect(() => {
    latest.current = document;
  }, [document]);
  const [saver] = useState(() => {
    const { version, updatedAt } = storedSite(site);
    return new Autosaver<SiteDocument, StoredSite>(
      EDITABLE,
      site.document,
      version,
      Date.parse(updatedAt),
      (said, over) => saveSite(site.name, said, over),
    );
  });
  const state = useSyncExternalStore(saver.subscribe, () => saver.state);

  useEffect(() => {
    if (isKept) saver.change(document);
  }, [isKept, saver, document]);

  useEffect(() => {
    const hidden = () => {
      if (window.document.visibilityState === 'hidden') void saver.flush();
    };
    window.document.addEventListener('visibilitychange', hidden);
    return () => {
      window.document.removeEventListener('visibilitychange', hidden);
      void saver.flush();
    };
  }, [saver]);

  return {
    document,
    /** Says something else; a function goes out from what stands by then. */
    change(next: SiteDocument | ((now: SiteDocument) => SiteDocument)) {
      steps.change(typeof next === 'function' ? next(latest.current) : next);
    },
    steps,
    isKept,
    state,
    keepMine: () => saver.keepMine(),
    takeTheirs() {
      if (saver.state.kind !== 'changedElsewhere') return;
      const theirs = saver.state.current.document;
      saver.takeTheirs(theirs);
      setDocument(theirs);
    },
  };
}

/** All runs of a site together, for what is said of it; the last figures stay until the next are there. */
export function useSiteSheet(site: string, document: SiteDocument) {
  return useQuery({
    queryKey: ['site', site, 'sheet', document],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/sites/sheet', { params: { query: { site } }, body: document, signal }),
      ),
    placeholderData: (before) => before,
    staleTime: 30_000,
  });
}
