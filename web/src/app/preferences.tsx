import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useRef } from 'react';
import { answered, api, Refused } from '../api';
import type { Schemas } from '../api';
import { measureIn } from '../units';
import { useSession } from './session';
import type { LengthUnit, Reading } from '../units';

export type Settings = Schemas['Settings'];
export type SettingsChange = Partial<Omit<Settings, 'version'>>;

interface Held {
  settings: Settings;
  reading: Reading;
  lengths: LengthUnit;
  /** Changes at once; the server is told, and told again until it has heard. */
  change: (change: SettingsChange) => void;
  setReading: (reading: Reading) => void;
  setLengths: (unit: LengthUnit) => void;
}

const KEY = ['settings'];

/** The settings as the server has them. */
export const settingsQuery = queryOptions({
  queryKey: KEY,
  queryFn: () => answered(api.GET('/api/settings')),
  staleTime: Infinity,
});

/** What stands until the server has answered; the same as its own defaults. */
export const DEFAULTS: Settings = {
  version: 0,
  reading: 'WATTS',
  lengths: 'METRES',
  temperatures: 'CELSIUS',
  flatJointLossDb: null,
  currency: 'EUR',
  region: 1,
  licencePowerW: null,
  preference: 'LEAST_COST',
  cableWorthPerDb: 20,
  gainCostPerDb: 20,
  powerCostPerDb: 20,
  tolerances: { typicalPercent: 10, sheetPercent: 5, measuredPercent: 5, guessedPercent: 30 },
  upkeep: {
    months: 12,
    outings: 20,
    hardOutings: 5,
    retirePercent: 25,
    retireAndDb: 0.3,
    retireOrDb: 1,
  },
  instrumentHosts: null,
  palette: 'SYSTEM',
  letterShortcuts: true,
  demoHidden: false,
  ownPrices: [],
  ledgerColumns: [],
};

const READINGS: Record<Settings['reading'], Reading> = {
  WATTS: 'watts',
  PERCENT: 'percent',
  DB: 'dB',
  S_UNITS: 'S',
};

const Context = createContext<Held | null>(null);

/** How the operator likes to work, from the database; one write after the other. */
export function PreferencesProvider({ children }: { children: React.ReactNode }) {
  const queries = useQueryClient();
  const isVisit = useSession().visitUntil !== null;
  const query = useQuery(settingsQuery);
  const settings = query.data ?? DEFAULTS;
  measureIn(settings.lengths === 'METRES' ? 'm' : 'ft', settings.temperatures === 'FAHRENHEIT');
  const writing = useRef<Promise<void>>(Promise.resolve());

  const change = useCallback(
    (wanted: SettingsChange) => {
      queries.setQueryData<Settings>(KEY, (now) => ({ ...(now ?? DEFAULTS), ...wanted }));
      if (isVisit) return;
      const kept = keepUnwritten(wanted);
      writing.current = writing.current
        .then(() => store(queries, wanted))
        .then(() => (isAboutPrices(wanted) ? pricedAnew(queries) : undefined))
        .then(() => forgetWritten(kept))
        .catch(() => undefined);
    },
    [queries, isVisit],
  );

  // what was changed right before the page went away goes on from here
  const isRead = query.isSuccess;
  useEffect(() => {
    const unwritten = isRead && !isVisit ? readUnwritten() : null;
    if (unwritten) change(unwritten);
  }, [isRead, isVisit, change]);

  useEffect(() => {
    document.documentElement.dataset.palette = settings.palette.toLowerCase();
  }, [settings.palette]);

  const held = useMemo<Held>(
    () => ({
      settings,
      reading: READINGS[settings.reading],
      lengths: settings.lengths === 'METRES' ? 'm' : 'ft',
      change,
      setReading: (reading) => change({ reading: storedReading(reading) }),
      setLengths: (unit) => change({ lengths: unit === 'm' ? 'METRES' : 'FEET' }),
    }),
    [settings, change],
  );
  return query.isPending ? null : <Context value={held}>{children}</Context>;
}

/** Which setting says how far losses may be off, by where they come from. */
export const TOLERANCE_BY_PROVENANCE = {
  TYPICAL: 'typicalPercent',
  SHEET: 'sheetPercent',
  MEASURED: 'measuredPercent',
  GUESSED: 'guessedPercent',
} as const;

export function usePreferences(): Held {
  const held = use(Context);
  if (!held) throw new Error('usePreferences needs a PreferencesProvider above it');
  return held;
}

function storedReading(reading: Reading): Settings['reading'] {
  const found = Object.entries(READINGS).find(([, r]) => r === reading);
  return (found?.[0] ?? 'WATTS') as Settings['reading'];
}

/** Changes that the server has not heard of yet, so that a page that goes away takes none with it. */
const UNWRITTEN = 'eskiz.settings.unwritten';

function readUnwritten(): SettingsChange | null {
  try {
    return JSON.parse(localStorage.getItem(UNWRITTEN) ?? 'null') as SettingsChange | null;
  } catch {
    return null;
  }
}

/** Tells the text that is kept, which stands for all changes so far. */
function keepUnwritten(wanted: SettingsChange): string {
  const text = JSON.stringify({ ...readUnwritten(), ...wanted });
  try {
    localStorage.setItem(UNWRITTEN, text);
  } catch {
    // a full store: the change is still on its way to the server
  }
  return text;
}

/** Forgets it, unless something else was changed since. */
function forgetWritten(kept: string) {
  if (localStorage.getItem(UNWRITTEN) === kept) localStorage.removeItem(UNWRITTEN);
}

function isAboutPrices(wanted: SettingsChange): boolean {
  return wanted.currency !== undefined || wanted.ownPrices !== undefined;
}

/** Everything with a price in it is read again. */
async function pricedAnew(queries: ReturnType<typeof useQueryClient>) {
  const priced = [
    'cable-types',
    'connectors',
    'comparison',
    'changes',
    'mixes',
    'plans',
    'run-sheet',
    'in-run',
  ];
  await Promise.all(priced.map((key) => queries.invalidateQueries({ queryKey: [key] })));
}

/** Writes over the newest version; somebody else's change to another setting is kept. */
async function store(queries: ReturnType<typeof useQueryClient>, wanted: SettingsChange) {
  const now = queries.getQueryData<Settings>(KEY) ?? DEFAULTS;
  try {
    const stored = await answered(api.PUT('/api/settings', { body: { ...now, ...wanted } }));
    queries.setQueryData<Settings>(KEY, (shown) => ({
      ...stored,
      ...shown,
      version: stored.version,
    }));
  } catch (error) {
    if (error instanceof Refused && error.problem.status === 409) {
      const current = await answered(api.GET('/api/settings'));
      const stored = await answered(api.PUT('/api/settings', { body: { ...current, ...wanted } }));
      queries.setQueryData<Settings>(KEY, stored);
    } else if (error instanceof Refused) {
      await queries.invalidateQueries({ queryKey: KEY });
    }
  }
}
