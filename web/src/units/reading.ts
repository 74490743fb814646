import { fixed, significant } from './figures';

/** The four ways to read one power ratio. */
export type Reading = 'watts' | 'percent' | 'dB' | 'S';

export const READINGS: readonly Reading[] = ['watts', 'percent', 'dB', 'S'];

export const READING_NAMES: Record<Reading, string> = {
  watts: 'watts',
  percent: 'percent',
  dB: 'dB',
  S: 'S-units',
};

export const DB_PER_S_UNIT = 6;

/** A power somewhere along the run: its loss against the radio's power, and the watts where there are any. */
export interface Level {
  lossDb: number;
  watts: number | null;
}

/** The next reading after one, round and round; a receiver has no watts. */
export function nextReading(reading: Reading, hasWatts: boolean): Reading {
  const next = READINGS[(READINGS.indexOf(reading) + 1) % READINGS.length] ?? 'watts';
  return next === 'watts' && !hasWatts ? 'percent' : next;
}

/** What is shown where watts are asked for and there are none. */
export function shownReading(reading: Reading, hasWatts: boolean): Reading {
  return reading === 'watts' && !hasWatts ? 'percent' : reading;
}

export function unitOf(reading: Reading): string {
  return { watts: 'W', percent: '%', dB: 'dB', S: 'S' }[reading];
}

/** Loss between two powers of one unit, dB. */
export function lossBetween(before: number, after: number): number {
  return 10 * Math.log10(before / after);
}

/** Fraction left after a loss. */
export function fractionLeft(lossDb: number): number {
  return 10 ** (-lossDb / 10);
}

/** The same as a number at full precision, for drawing; NaN where watts are asked and there are none. */
export function amountOf(level: Level, reading: Reading): number {
  switch (reading) {
    case 'watts':
      return level.watts ?? NaN;
    case 'percent':
      return 100 * fractionLeft(level.lossDb);
    case 'dB':
      return -level.lossDb;
    case 'S':
      return -level.lossDb / DB_PER_S_UNIT;
  }
}

/** The figure without its unit; losses in dB and S-units carry a minus, for they are what is missing. */
export function figureOf(level: Level, reading: Reading): string {
  switch (reading) {
    case 'watts':
      return level.watts === null ? '' : significant(level.watts);
    case 'percent':
      return significant(100 * fractionLeft(level.lossDb));
    case 'dB':
      return fixed(-level.lossDb, level.lossDb >= 99.95 ? 0 : level.lossDb >= 9.995 ? 1 : 2);
    case 'S':
      return fixed(-level.lossDb / DB_PER_S_UNIT, 2);
  }
}

/** How one level reads against another: more that arrives carries a plus. */
export function againstFigure(level: Level, base: Level, reading: Reading): string {
  const more = amountOf(level, reading) - amountOf(base, reading);
  const decimals = reading === 'dB' || reading === 'S' ? 2 : undefined;
  return signed(more, (v) => (decimals === undefined ? significant(v) : fixed(v, decimals)));
}

/** A difference with its sign, a true minus; nothing before a rounded zero. */
export function signed(value: number, write: (value: number) => string): string {
  const text = write(Math.abs(value));
  if (/^0(\.0*)?$/.test(text)) return text;
  return `${value > 0 ? '+' : '−'}${text}`;
}

export function levelText(level: Level, reading: Reading): string {
  return `${figureOf(level, reading)} ${unitOf(reading)}`;
}

/** Tells losses of one band as what arrives there, in what is read; of a receiver without watts. */
export function levelTeller(radioW: number | null, reading: Reading): (lossDb: number) => string {
  return (lossDb) =>
    levelText(
      { lossDb, watts: radioW === null ? null : radioW * fractionLeft(lossDb) },
      shownReading(reading, radioW !== null),
    );
}
