import { SERVICES } from '../../units';
import type { BenchNotes, BenchTest, Piece, PieceSpec } from '../../api';
import { withoutNulls } from '../../api';

export type Method = BenchNotes['method'];
export type Reading = NonNullable<BenchNotes['readings']>[number];
export type Station = NonNullable<BenchNotes['station']>;
export type Joint = NonNullable<BenchNotes['joints']>[number];

export const METHODS: readonly Method[] = ['WATTMETER', 'THROUGH_SWEEP', 'ONE_END_SWEEP', 'LOSSES'];

/** Far enough apart to tell a cause by its shape. */
const USUAL_BANDS = ['80 m', '40 m', '20 m', '10 m', '6 m', '2 m', '70 cm'];

/** The larger of the sweep files that the server takes, in characters. */
export const MOST_FILE_BYTES = 4 * 1024 * 1024;

const STATION_PLACE = 'eskiz.bench.station';

export function usualBandsMHz(region: number): number[] {
  return USUAL_BANDS.map(
    (name) => SERVICES[0]?.bands.find((b) => b.name === name)?.byRegion[region - 1] ?? 0,
  ).filter((f) => f > 0);
}

/** A test before anything was read, with what was noted of the station last time. */
export function blankNotes(method: Method, bandsMHz: readonly number[], today: string): BenchNotes {
  return {
    method,
    testedOn: today,
    bandsMHz: [...bandsMHz],
    ...remembered(),
    wattmeter: { lead: 'NONE' },
    readings: bandsMHz.map((frequencyMHz) => ({ frequencyMHz })),
  };
}

/** The notes of a stored test, to be corrected. */
export function correctionOf(test: BenchTest): BenchNotes {
  return { ...withoutNulls(test.document), revision: test.summary.revision };
}

export function isSweep(method: Method): boolean {
  return method === 'THROUGH_SWEEP' || method === 'ONE_END_SWEEP';
}

/** Notes as they are sent: rows in which nothing was read are left out of what is kept. */
export function kept(notes: BenchNotes): BenchNotes {
  return { ...notes, readings: (notes.readings ?? []).filter(isBegun) };
}

export function isBegun(reading: Reading): boolean {
  return (
    Boolean(reading.baseline ?? reading.through) ||
    reading.lossDb !== undefined ||
    reading.openReturnLossDb !== undefined ||
    reading.shortedReturnLossDb !== undefined
  );
}

export function withReading(
  notes: BenchNotes,
  index: number,
  change: Partial<Reading>,
): BenchNotes {
  const readings = (notes.readings ?? []).map((r, i) => (i === index ? { ...r, ...change } : r));
  return { ...notes, readings };
}

/** The same band once more, right below: another power, or another length. */
export function withAnotherLevel(notes: BenchNotes, index: number): BenchNotes {
  const readings = [...(notes.readings ?? [])];
  const { frequencyMHz, lengthM } = readings[index] ?? {};
  readings.splice(index + 1, 0, { frequencyMHz, lengthM });
  return { ...notes, readings };
}

export function withoutReading(notes: BenchNotes, index: number): BenchNotes {
  return { ...notes, readings: (notes.readings ?? []).filter((_, i) => i !== index) };
}

/** What a test was made with last time: the station, and how warm it was. */
type Remembered = Pick<BenchNotes, 'station' | 'temperatureC'>;

function remembered(): Remembered {
  try {
    const last = JSON.parse(localStorage.getItem(STATION_PLACE) ?? '{}') as Remembered;
    return { station: last.station ?? {}, temperatureC: last.temperatureC ?? 20 };
  } catch {
    return { station: {}, temperatureC: 20 };
  }
}

export function remember({ station, temperatureC }: BenchNotes): void {
  try {
    localStorage.setItem(STATION_PLACE, JSON.stringify({ station, temperatureC }));
  } catch {
    // a full store: it is typed again next time
  }
}

/** The notes of a test of a piece of the locker: its label, type, length and the joints at its ends. */
export function ofPiece(notes: BenchNotes, piece: Piece): BenchNotes {
  const ends = [piece.near, piece.far].filter((end) => end !== null);
  return {
    ...notes,
    piece: piece.label,
    pieceId: piece.id,
    cableKey: piece.cableKey ?? undefined,
    lengthM: piece.lengthM,
    joints: ends.length > 0 ? ends.map((e) => ({ connectorKey: e.connectorKey })) : notes.joints,
  };
}

/**
 * The notes of the next cable of a session: what it is measured with stays, the baseline too, since the radio and the meter are
 * the same; what is of the cable itself begins anew.
 */
export function nextCable(notes: BenchNotes, id: string, today: string): BenchNotes {
  const { method, station, temperatureC, wattmeter, bandsMHz, joints } = notes;
  return {
    id,
    method,
    testedOn: today,
    station,
    temperatureC,
    wattmeter,
    bandsMHz,
    joints,
    readings: (notes.readings ?? []).map(({ frequencyMHz, baseline }) => ({
      frequencyMHz,
      baseline,
    })),
  };
}

/** A piece for the locker out of what is noted of it; null where its label or its length is missing. */
export function pieceOf(notes: BenchNotes, id: string, sweptM: number | null): PieceSpec | null {
  const label = notes.piece?.trim();
  const lengthM = notes.lengthM ?? sweptM;
  if (!label || lengthM === null) return null;
  const [near, far] = notes.joints ?? [];
  return {
    id,
    label,
    lengthM: Number(lengthM.toFixed(2)),
    cableKey: notes.cableKey,
    ...(near?.connectorKey && { near: { connectorKey: near.connectorKey, gender: 'PLUG' } }),
    ...(far?.connectorKey && { far: { connectorKey: far.connectorKey, gender: 'PLUG' } }),
  };
}

/** The text of a field; undefined where there is none. */
export function textOf(text: string): string | undefined {
  return text.trim() === '' ? undefined : text;
}
