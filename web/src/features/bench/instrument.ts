import type { Schemas } from '../../api';
import { answered, api, sessionHeaders } from '../../api';

export type Address = Schemas['InstrumentRequest'];
export type Identity = Schemas['IdentityResponse'];
export type Connection = Schemas['SweepBeginRequest']['connection'];

const HOLDER_PLACE = 'eskiz.instrument.holder';

/** A sweep that gets no further for so long has stopped. */
const STALLED_MS = 8000;
const POLL_MS = 250;

/** Who this tab is, for instruments: the same over a reload, another in another tab. */
export function holderOfThisTab(): string {
  const known = sessionStorage.getItem(HOLDER_PLACE);
  if (known) return known;
  const made = crypto.randomUUID();
  sessionStorage.setItem(HOLDER_PLACE, made);
  return made;
}

/** Where an instrument is, out of `host:port`; null for something else. */
export function addressOf(text: string): Address | null {
  const parts = /^\s*([^\s:]+|\[[^\]]+\]):(\d{1,5})\s*$/.exec(text);
  const port = Number(parts?.[2]);
  return parts?.[1] && port >= 1 && port <= 65535
    ? { host: parts[1].replace(/^\[|\]$/g, ''), port, holder: holderOfThisTab() }
    : null;
}

export const instruments = {
  identify: (at: Address) => answered(api.POST('/api/instruments/identity', { body: at })),
  release: (at: Address) => answered(api.POST('/api/instruments/release', { body: at })),
  connect: (at: Address, cable: string | null) =>
    answered(
      api.POST('/api/instruments/shelf', { body: { instrument: at, cable: cable ?? undefined } }),
    ),
  reveal: (at: Address) => answered(api.POST('/api/instruments/shelf/reveal', { body: at })),
  calibrate: (at: Address, standard: Schemas['CalibrationRequest']['standard']) =>
    answered(api.POST('/api/instruments/calibration', { body: { instrument: at, standard } })),
  read: (
    at: Address,
    frequencyMHz: number,
    powerW: number,
    path: Schemas['ReadingTakenRequest']['path'],
  ) =>
    answered(
      api.POST('/api/instruments/readings', {
        body: { instrument: at, frequencyMHz, powerW, path },
      }),
    ),
};

/** Lets go of an instrument while the page goes away; nobody is left to hear the answer. */
export function releaseOnTheWayOut(at: Address): void {
  fetch('/api/instruments/release', {
    method: 'POST',
    keepalive: true,
    headers: { ...sessionHeaders(), 'Content-Type': 'application/json' },
    body: JSON.stringify(at),
  }).catch(() => undefined);
}

export interface SweepWanted {
  startMHz: number;
  stopMHz: number;
  points: number;
  connection: Connection;
  name: string;
}

/**
 * Begins a sweep, waits for it, and fetches what it gave.
 *
 * @param onPercent how far it is
 * @param isStopped whether the operator wants no more of it
 */
export async function sweep(
  at: Address,
  wanted: SweepWanted,
  onPercent: (percent: number) => void,
  isStopped: () => boolean,
) {
  const { name, connection, ...range } = wanted;
  await answered(
    api.POST('/api/instruments/sweeps', { body: { instrument: at, connection, ...range } }),
  );
  let percent = 0;
  let movedAt = Date.now();
  while (percent < 100) {
    await new Promise((resolve) => setTimeout(resolve, POLL_MS));
    if (isStopped()) {
      await answered(api.POST('/api/instruments/sweeps/abort', { body: at }));
      return null;
    }
    const now = await answered(api.POST('/api/instruments/sweeps/progress', { body: at }));
    if (now.percent > percent) movedAt = Date.now();
    percent = now.percent;
    onPercent(percent);
    if (Date.now() - movedAt > STALLED_MS) {
      await answered(api.POST('/api/instruments/sweeps/abort', { body: at }));
      throw new Error(`the sweep has stopped at ${percent} % and was broken off`);
    }
  }
  return answered(
    api.POST('/api/instruments/sweeps/result', { body: { instrument: at, connection, name } }),
  );
}
