// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../api';
import { PreferencesProvider, usePreferences } from './preferences';

interface Written {
  version: number;
  currency: string;
  letterShortcuts: boolean;
}

/** A server of settings that refuses a version which is not its newest. */
function server(start: Written) {
  let stored = start;
  const writes: Written[] = [];
  const ok = () => ({ data: stored, response: new Response(null, { status: 200 }) });
  const conflict = () => ({
    error: { title: 'Changed', status: 409, detail: 'changed meanwhile' },
    response: new Response(null, { status: 409 }),
  });
  return {
    writes,
    /** What another tab writes. */
    put: (change: Partial<Written>) => {
      stored = { ...stored, ...change, version: stored.version + 1 };
    },
    read: async () => ok(),
    write: async (_: string, { body }: { body: Written }) => {
      writes.push(body);
      if (body.version !== stored.version) return conflict();
      stored = { ...body, version: stored.version + 1 };
      return ok();
    },
    stored: () => stored,
  };
}

let held: ReturnType<typeof usePreferences> | null = null;
const change = (wanted: Parameters<ReturnType<typeof usePreferences>['change']>[0]) =>
  held?.change(wanted);
type Held = ReturnType<typeof usePreferences>;

function Reader({ onHeld }: { onHeld: (now: Held) => void }) {
  const now = usePreferences();
  useEffect(() => onHeld(now), [now, onHeld]);
  return null;
}

const hold = (now: Held) => {
  held = now;
};

const START = { version: 3, currency: 'EUR', letterShortcuts: true, palette: 'SYSTEM' } as Written;

async function opened(of: ReturnType<typeof server>) {
  vi.spyOn(api, 'GET').mockImplementation(of.read as never);
  vi.spyOn(api, 'PUT').mockImplementation(of.write as never);
  const root = createRoot(document.createElement('div'));
  await act(async () =>
    root.render(
      <QueryClientProvider
        client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
      >
        <PreferencesProvider>
          <Reader onHeld={hold} />
        </PreferencesProvider>
      </QueryClientProvider>,
    ),
  );
  await act(() => vi.waitFor(() => expect(held).not.toBeNull()));
}

describe('preferences', () => {
  beforeEach(() => {
    vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', true);
    localStorage.clear();
    held = null;
  });
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });

  it('are written one after the other, each over the version of the one before', async () => {
    const of = server(START);
    await opened(of);
    await act(async () => {
      change({ currency: 'GBP' });
      change({ letterShortcuts: false });
    });
    expect(held?.settings).toMatchObject({ currency: 'GBP', letterShortcuts: false });
    await vi.waitFor(() => expect(of.writes.map((w) => w.version)).toEqual([3, 4]));
    expect(of.stored()).toMatchObject({ currency: 'GBP', letterShortcuts: false, version: 5 });
    await vi.waitFor(() => expect(localStorage.length).toBe(0));
  });

  it('keep what another tab wrote meanwhile', async () => {
    const of = server(START);
    await opened(of);
    of.put({ currency: 'SEK' });
    await act(async () => change({ letterShortcuts: false }));
    await vi.waitFor(() =>
      expect(of.stored()).toMatchObject({ currency: 'SEK', letterShortcuts: false, version: 5 }),
    );
  });

  it('go on with what a page that went away had not written', async () => {
    const of = server(START);
    localStorage.setItem('eskiz.settings.unwritten', JSON.stringify({ currency: 'CHF' }));
    await opened(of);
    await vi.waitFor(() => expect(of.stored().currency).toBe('CHF'));
  });
});
