import type { LengthUnit, QuantityKind } from '../../../units';
import { fixed, plain } from '../../../units';
import { askedPhrase } from '../../../words';
import type { Kind } from '../../../words';
import type { Requirement } from '../document/model';

/** A field of a requirement that holds its number. */
type NumberField = Exclude<
  keyof Requirement,
  'kind' | 'bandId' | 'off' | 'currency' | 'mastM' | 'radioSocketKey' | 'antennaSocketKey'
>;

interface Field {
  name: NumberField;
  kind: QuantityKind;
  unit: string;
  label: string;
  /** What stands there when it is asked for the first time. */
  usual: number;
}

const field = (
  name: NumberField,
  kind: QuantityKind,
  unit: string,
  label: string,
  usual: number,
): Field => ({ name, kind, unit, label, usual });

/** How the number of each kind is typed; null for a plain yes. */
export const FIELDS: Record<Kind, Field | null> = {
  LEAST_POWER: field('powerW', 'power', 'w', 'W', 10),
  LEAST_PERCENT: field('percent', 'percent', '%', '%', 50),
  MOST_LOSS: field('lossDb', 'loss', 'db', 'dB', 3),
  MOST_S_UNITS: field('sUnits', 'sUnits', 's', 'S-units', 0.5),
  WITHIN_GAIN: null,
  MOST_RECEIVE_PENALTY: field('penaltyDb', 'loss', 'db', 'dB', 1),
  LEAST_POWER_MARGIN: field('margin', 'margin', '', 'times', 1),
  LEAST_VOLTAGE_MARGIN: field('margin', 'margin', '', 'times', 1),
  BUDGET: field('cost', 'budget', '', '', 100),
  MOST_MASS: field('massKg', 'mass', 'kg', 'kg', 3),
  MOST_MASS_ON_MAST: field('massKg', 'mass', 'kg', 'kg', 2),
  DUCT_BORE: field('boreMm', 'bore', 'mm', 'mm', 20),
  BEND_ONCE: field('radiusMm', 'radius', 'mm', 'mm', 50),
  BEND_REPEATED: field('radiusMm', 'radius', 'mm', 'mm', 100),
  COLDEST_UNROLLING: field('temperatureC', 'temperature', '°c', '°C', -10),
  SUN: null,
  WATER: null,
  BURIAL: null,
  REPEATED_FLEXING: null,
  IMPEDANCE: null,
  CONNECTORS: null,
};

/** The unit in which the number of a kind is typed and shown: the operator's own. */
export function measureOf(
  field: Field,
  lengths: LengthUnit,
  fahrenheit: boolean,
): { unit: string; label: string } {
  const own = { unit: field.unit, label: field.label };
  switch (field.kind) {
    case 'temperature':
      return fahrenheit ? { unit: '°f', label: '°F' } : own;
    case 'mass':
      return lengths === 'ft' ? { unit: 'lb', label: 'lb' } : own;
    case 'bore':
    case 'radius':
      return lengths === 'ft' ? { unit: 'in', label: 'in' } : own;
    default:
      return own;
  }
}

/** The kinds as they are offered, by what they speak of. */
export const GROUPS: readonly { text: string; kinds: readonly Kind[] }[] = [
  {
    text: 'what arrives',
    kinds: [
      'LEAST_POWER',
      'LEAST_PERCENT',
      'MOST_LOSS',
      'MOST_S_UNITS',
      'WITHIN_GAIN',
      'MOST_RECEIVE_PENALTY',
    ],
  },
  { text: 'what it bears', kinds: ['LEAST_POWER_MARGIN', 'LEAST_VOLTAGE_MARGIN'] },
  { text: 'money and mass', kinds: ['BUDGET', 'MOST_MASS', 'MOST_MASS_ON_MAST'] },
  {
    text: 'the way it takes',
    kinds: [
      'DUCT_BORE',
      'BEND_ONCE',
      'BEND_REPEATED',
      'COLDEST_UNROLLING',
      'SUN',
      'WATER',
      'BURIAL',
      'REPEATED_FLEXING',
    ],
  },
  { text: 'what it meets', kinds: ['IMPEDANCE', 'CONNECTORS'] },
];

const OF_BANDS: ReadonlySet<Kind> = new Set([
  ...(GROUPS[0]?.kinds ?? []),
  ...(GROUPS[1]?.kinds ?? []),
]);

const OF_WATTS: ReadonlySet<Kind> = new Set([
  'LEAST_POWER',
  'LEAST_POWER_MARGIN',
  'LEAST_VOLTAGE_MARGIN',
]);

/** Whether it can be asked of one band alone. */
export function isOfBands(kind: Kind): boolean {
  return OF_BANDS.has(kind);
}

/** Whether it makes sense where nothing is sent. */
export function isForReceivers(kind: Kind): boolean {
  return !OF_WATTS.has(kind);
}

/** The number that is asked; undefined for a plain yes. */
export function numberOf(asked: Requirement): number | undefined {
  const { name } = FIELDS[asked.kind] ?? {};
  return name && asked[name];
}

export function phraseOf(asked: Requirement): string {
  const phrase = askedPhrase(asked.kind, numberOf(asked), asked.currency);
  return asked.mastM === undefined ? phrase : `${phrase} (${plain(asked.mastM)} m of it)`;
}

/** A requirement as it is first asked. */
export function firstAsked(kind: Kind, currency: string): Requirement {
  const usual = FIELDS[kind];
  return {
    kind,
    ...(usual && { [usual.name]: usual.usual }),
    ...(kind === 'BUDGET' && { currency }),
    ...(kind === 'MOST_MASS_ON_MAST' && { mastM: 10 }),
  };
}

/** The same requirement with another number. */
export function withNumber(asked: Requirement, number: number): Requirement {
  const { name } = FIELDS[asked.kind] ?? {};
  return name ? { ...asked, [name]: number } : asked;
}

/** What a field shows of a number. */
export function shownNumber(kind: Kind, value: number): string {
  return kind === 'BUDGET' ? fixed(value, Number.isInteger(value) ? 0 : 2) : plain(value);
}
