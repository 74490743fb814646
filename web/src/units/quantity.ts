import { frequencyOf } from './bandPlan';
import { METRES_PER_FOOT } from './figures';

/**
 * Reading what people type. A quantity is a number with or without a unit; comma and point are both decimal marks,
 * grouping is by space only, and a unit letter may stand in the decimal mark's place (1k5).
 */

export type QuantityKind =
  | 'length'
  | 'power'
  | 'frequency'
  | 'swr'
  | 'loss'
  | 'percent'
  | 'attenuation'
  | 'ratio'
  | 'impedance'
  | 'impedanceRatio'
  | 'elementLoss'
  | 'temperature'
  | 'price'
  | 'pricePerLength'
  | 'resistance'
  | 'reactance'
  | 'gain'
  | 'noise'
  | 'sUnits'
  | 'margin'
  | 'budget'
  | 'mass'
  | 'bore'
  | 'radius'
  | 'percentOff'
  | 'voltage'
  | 'level'
  | 'isolation'
  | 'count'
  | 'hours'
  | 'delay'
  | 'degrees'
  | 'warmer';

/** What was understood; `doubt` is set when the text could be meant otherwise and should be echoed. */
export interface Understood {
  ok: true;
  /** In the base unit of the kind: m, W, MHz, plain, dB, percent, dB per 100 m, plain, ohm, kg, mm, V, money per m. */
  value: number;
  doubt: boolean;
  /** What it could be meant as instead. */
  other?: number;
}

export interface NotUnderstood {
  ok: false;
  message: string;
}

export type Parsed = Understood | NotUnderstood;

const INCHES_PER_FOOT = 12;

/** What a bore or a bend is measured in, to mm. */
const MILLIMETRES: Record<string, number> = { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4 };

/** Factor from a unit to the base unit, by kind. Spellings are lower case; `M` and `m` differ only where it matters. */
const UNITS: Record<QuantityKind, Record<string, number>> = {
  length: {
    m: 1,
    metre: 1,
    metres: 1,
    meter: 1,
    meters: 1,
    cm: 0.01,
    mm: 0.001,
    km: 1000,
    ft: METRES_PER_FOOT,
    foot: METRES_PER_FOOT,
    feet: METRES_PER_FOOT,
    "'": METRES_PER_FOOT,
    in: METRES_PER_FOOT / INCHES_PER_FOOT,
    '"': METRES_PER_FOOT / INCHES_PER_FOOT,
    yd: 3 * METRES_PER_FOOT,
  },
  power: { w: 1, watt: 1, watts: 1, mw: 0.001, kw: 1000, k: 1000 },
  frequency: { mhz: 1, khz: 0.001, ghz: 1000, hz: 1e-6, k: 0.001, g: 1000 },
  swr: { '': 1, ':1': 1 },
  loss: { db: 1 },
  percent: { '%': 1, percent: 1 },
  attenuation: { 'db/100m': 1, 'db/100ft': 1 / METRES_PER_FOOT, db: 1 },
  ratio: { '': 1, '%': 0.01, percent: 0.01 },
  impedance: { ω: 1, ohm: 1, ohms: 1 },
  impedanceRatio: { '': 1, ':1': 1 },
  elementLoss: { db: 1 },
  price: { '': 1, each: 1 },
  pricePerLength: {
    '/m': 1,
    perm: 1,
    '/ft': 1 / METRES_PER_FOOT,
    perft: 1 / METRES_PER_FOOT,
    perfoot: 1 / METRES_PER_FOOT,
    '/100m': 0.01,
    '/100ft': 0.01 / METRES_PER_FOOT,
  },
  resistance: { ω: 1, ohm: 1, ohms: 1, k: 1000 },
  reactance: { ω: 1, ohm: 1, ohms: 1, k: 1000 },
  gain: { dbi: 1, db: 1 },
  noise: { db: 1 },
  sUnits: { s: 1, 's-unit': 1, 's-units': 1 },
  margin: { '': 1, '×': 1, x: 1 },
  budget: { '': 1, k: 1000 },
  mass: { kg: 1, g: 0.001, lb: 0.453_592_37, lbs: 0.453_592_37, oz: 0.453_592_37 / 16 },
  bore: MILLIMETRES,
  radius: MILLIMETRES,
  percentOff: { '%': 1, percent: 1 },
  level: { dbm: 1 },
  isolation: { db: 1 },
  count: { '': 1 },
  hours: { h: 1, hour: 1, hours: 1, min: 1 / 60 },
  delay: { ns: 1, µs: 1000, us: 1000 },
  degrees: { '°': 1, deg: 1, degrees: 1 },
  warmer: { k: 1, '°c': 1, '°f': 5 / 9 },
  voltage: { v: 1, volt: 1, volts: 1, kv: 1000, k: 1000 },
  temperature: { '°c': 1, c: 1, '°f': 5 / 9, f: 5 / 9 },
};

/** Where a unit's own zero lies, in that unit: 32 °F is 0 °C. */
const ZEROS: Record<string, number> = { '°f': 32, f: 32 };

/** Units that a field offers by its button, since a phone's number pad has no letters. */
export const OFFERED_UNITS: Partial<
  Record<QuantityKind, readonly { unit: string; label: string }[]>
> = {
  length: [
    { unit: 'm', label: 'm' },
    { unit: 'ft', label: 'ft' },
  ],
  power: [
    { unit: 'w', label: 'W' },
    { unit: 'kw', label: 'kW' },
    { unit: 'mw', label: 'mW' },
  ],
  frequency: [
    { unit: 'mhz', label: 'MHz' },
    { unit: 'khz', label: 'kHz' },
    { unit: 'ghz', label: 'GHz' },
  ],
  mass: [
    { unit: 'kg', label: 'kg' },
    { unit: 'g', label: 'g' },
    { unit: 'lb', label: 'lb' },
  ],
  bore: [
    { unit: 'mm', label: 'mm' },
    { unit: 'in', label: 'in' },
  ],
  radius: [
    { unit: 'mm', label: 'mm' },
    { unit: 'in', label: 'in' },
  ],
  temperature: [
    { unit: '°c', label: '°C' },
    { unit: '°f', label: '°F' },
  ],
};

/** A value in base units as a number in another unit of its kind. */
export function inUnit(value: number, kind: QuantityKind, unit: string): number {
  return scaled(value, 1 / (UNITS[kind][unit] ?? 1)) + (ZEROS[unit] ?? 0);
}

const EXAMPLES: Record<QuantityKind, string> = {
  length: '31 m or 102 ft',
  power: '50 W or 1k5',
  frequency: '145 MHz or 7100 kHz',
  swr: '1.5',
  loss: '3 dB',
  percent: '70 %',
  attenuation: '8.5',
  ratio: '0.85',
  impedance: '50',
  impedanceRatio: '4',
  elementLoss: '0.1 dB',
  price: '2.40',
  pricePerLength: '2.40 or 0.75/ft',
  resistance: '90',
  reactance: '-320',
  gain: '6 dBi',
  noise: '3 dB',
  sUnits: '0.5',
  margin: '1.5',
  budget: '120',
  mass: '2.5 kg or 5 lb',
  bore: '20 mm or 0.8 in',
  radius: '50 mm or 2 in',
  percentOff: '10 %',
  voltage: '1250 V or 1.2 kV',
  level: '-10 dBm',
  isolation: '30 dB',
  count: '4',
  hours: '1.5 h',
  delay: '62.5 ns',
  degrees: '90',
  warmer: '20 K',
  temperature: '20 °C or 68 °F',
};

/** Feet and inches together: 33' 6" or 33 ft 6 in. */
const FEET_AND_INCHES = /^(\d+(?:[.,]\d+)?)\s*(?:'|ft|feet)\s*(\d+(?:[.,]\d+)?)\s*(?:"|''|in)$/i;

/** A number, grouped by space or not, then a unit. */
const NUMBER_AND_UNIT = /^([+-]?\d+(?: \d{3})*(?:[.,]\d*)?|[+-]?[.,]\d+)\s*(.*)$/;

/** A unit letter in the decimal mark's place. */
const LETTER_AS_MARK = /^(\d+)([a-zA-Z])(\d+)$/;

/** A fraction, with whole ones before it or not: 3/4 in, 1 1/2 in. */
const FRACTION = /^(?:(\d+) )?(\d+)\/(\d+)\s*(.*)$/;

/** Power told as a level: 30 dBm is a watt. */
const LEVEL = /^([+-]?\d+(?:[.,]\d*)?)\s*db([mw])$/i;

/** A wavelength that stands for a band: 2 m, 70cm. */
const WAVELENGTH = /^(\d+(?:[.,]\d*)?)\s*(m|cm|mm)$/;

/** A comma before exactly three digits could have been meant to group. */
const COULD_BE_GROUPING = /^[+-]?\d{1,3},\d{3}(?!\d)/;

/**
 * Reads a typed quantity.
 *
 * @param text as typed
 * @param kind what it is
 * @param defaultUnit unit of a bare number, as spelt in the table of the kind
 */
export function parseQuantity(text: string, kind: QuantityKind, defaultUnit: string): Parsed {
  const typed = tidy(text);
  if (typed === '') return refuse(text, kind);
  return (
    feetAndInches(typed, kind) ??
    wavelength(typed, kind) ??
    level(typed, kind) ??
    fraction(typed, kind, defaultUnit) ??
    letterAsMark(typed, kind) ??
    numberAndUnit(typed, kind, defaultUnit) ??
    refuse(text, kind)
  );
}

/** An impedance as it is written: 180 - j280, 3200+j350 Ω; null for anything else. */
export function parseImpedance(
  text: string,
): { resistanceOhm: number; reactanceOhm: number } | null {
  const match =
    /^(\d+(?:[.,]\d+)?)\s*([+-])\s*(?:j\s*(\d+(?:[.,]\d+)?)|(\d+(?:[.,]\d+)?)\s*j)\s*(?:Ω|ohms?)?$/i.exec(
      tidy(text).replace('\u2013', '-'),
    );
  if (!match) return null;
  const reactance = decimal(match[3] ?? match[4] ?? '');
  return {
    resistanceOhm: decimal(match[1] ?? ''),
    reactanceOhm: match[2] === '-' ? -reactance : reactance,
  };
}

function tidy(text: string): string {
  return text
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[’′]/g, "'")
    .replace(/[”″]/g, '"')
    .replace(/\u2212/g, '-')
    .trim();
}

function feetAndInches(typed: string, kind: QuantityKind): Parsed | null {
  const match = kind === 'length' ? FEET_AND_INCHES.exec(typed) : null;
  if (!match) return null;
  const feet = decimal(match[1] ?? '') + decimal(match[2] ?? '') / INCHES_PER_FOOT;
  return { ok: true, value: feet * METRES_PER_FOOT, doubt: false };
}

/** A band's name stands for a frequency, and is echoed; a wavelength that is no band's is not guessed at. */
function wavelength(typed: string, kind: QuantityKind): Parsed | null {
  const match = kind === 'frequency' ? WAVELENGTH.exec(typed) : null;
  if (!match) return null;
  const value = frequencyOf(`${decimal(match[1] ?? '')} ${match[2]}`);
  return value === undefined
    ? {
        ok: false,
        message: `“${typed}” is a wavelength, and no band that is known here. Type the frequency, such as 145 MHz.`,
      }
    : { ok: true, value, doubt: true };
}

function level(typed: string, kind: QuantityKind): Parsed | null {
  const match = kind === 'power' ? LEVEL.exec(typed) : null;
  if (!match) return null;
  const dbw = decimal(match[1] ?? '') - (match[2]?.toLowerCase() === 'm' ? 30 : 0);
  return { ok: true, value: Number((10 ** (dbw / 10)).toPrecision(6)), doubt: true };
}

function fraction(typed: string, kind: QuantityKind, defaultUnit: string): Parsed | null {
  const match = FRACTION.exec(typed);
  const factor = match ? factorOf(kind, match[4] || defaultUnit) : undefined;
  if (!match || factor === undefined || Number(match[3]) === 0) return null;
  const value = Number(match[1] ?? 0) + Number(match[2]) / Number(match[3]);
  return { ok: true, value: scaled(value, factor), doubt: false };
}

function letterAsMark(typed: string, kind: QuantityKind): Parsed | null {
  const match = LETTER_AS_MARK.exec(typed);
  // in a number's middle an m is a mega: 7m1 is no wavelength
  const letter = kind === 'frequency' ? match?.[2]?.replace('m', 'M') : match?.[2];
  const factor = match ? factorOf(kind, letter ?? '') : undefined;
  if (!match || factor === undefined) return null;
  return { ok: true, value: scaled(Number(`${match[1]}.${match[3]}`), factor), doubt: false };
}

function numberAndUnit(typed: string, kind: QuantityKind, defaultUnit: string): Parsed | null {
  const match = NUMBER_AND_UNIT.exec(typed);
  if (!match) return null;
  const number = match[1] ?? '';
  const unit = match[2] === '' ? defaultUnit : (match[2] ?? '');
  const factor = factorOf(kind, unit);
  const zero = kind === 'temperature' ? (ZEROS[unit.replace(/\s+/g, '').toLowerCase()] ?? 0) : 0;
  const value = decimal(number.replace(/ /g, '')) - zero;
  if (factor === undefined || !Number.isFinite(value)) return null;
  const isGrouped = COULD_BE_GROUPING.test(number);
  return {
    ok: true,
    value: scaled(value, factor),
    doubt: isGrouped,
    ...(isGrouped && { other: scaled(Number(number.replace(',', '')) - zero, factor) }),
  };
}

function factorOf(kind: QuantityKind, unit: string): number | undefined {
  const units = UNITS[kind];
  const spelt = unit.replace(/\s+/g, '');
  // 145M is a frequency; 145 m is not
  if (kind === 'frequency' && spelt === 'M') return 1;
  // MW and mW are a thousand million apart
  if (kind === 'power' && spelt.startsWith('M')) return spelt === 'MW' ? 1e6 : undefined;
  return Object.hasOwn(units, spelt.toLowerCase()) ? units[spelt.toLowerCase()] : undefined;
}

function decimal(number: string): number {
  return Number(number.replace(',', '.'));
}

/** 7100 · 0.001 is 7.1000000000000005 in binary; twelve digits are more than anybody types. */
function scaled(value: number, factor: number): number {
  return factor === 1 ? value : Number((value * factor).toPrecision(12));
}

function refuse(text: string, kind: QuantityKind): NotUnderstood {
  return text.trim() === ''
    ? { ok: false, message: `Type a value, such as ${EXAMPLES[kind]}.` }
    : { ok: false, message: `“${text.trim()}” is not understood. Type it like ${EXAMPLES[kind]}.` };
}
