import type { CableTypeSpec, CableType } from '../../../api';
import { METRES_PER_FOOT, parseQuantity, plain } from '../../../units';
import type { QuantityKind } from '../../../units';

/** A cable type as it is typed: every number is the text of its field. */
export interface Draft {
  name: string;
  family: string;
  provenance: CableTypeSpec['provenance'];
  sourceTitle: string;
  sourceDate: string;
  mechanicsProvenance: CableTypeSpec['provenance'];
  ratingsProvenance: CableTypeSpec['provenance'];
  flexing: '' | NonNullable<CableTypeSpec['flexing']>;
  balanced: boolean;
  copperCladSteel: boolean;
  followsPoints: boolean;
  sunResistant: '' | 'yes' | 'no';
  directBurial: '' | 'yes' | 'no';
  priceCurrency: string;
  pricedOn: string;
  jacket: string;
  centreConductor: string;
  shield: string;
  dielectric: string;
  note: string;
  numbers: Record<NumberName, string>;
  /** The rows of its sheet, as they were pasted. */
  sheet: string;
}

export type NumberName =
  | 'impedanceOhm'
  | 'velocityFactor'
  | 'outerDiameterMm'
  | 'massGPerM'
  | 'bendRadiusOnceMm'
  | 'bendRadiusRepeatedMm'
  | 'minInstallC'
  | 'minOperatingC'
  | 'maxOperatingC'
  | 'peakVoltageV'
  | 'averagePowerW'
  | 'ratedAtMHz'
  | 'ratedAtC'
  | 'shieldBoreMm'
  | 'wetTimes'
  | 'pricePerM'
  | 'soldInM'
  | 'withinPercent';

interface Field {
  label: string;
  kind: QuantityKind;
  unit: string;
  unitLabel: string;
  /** What one of its base units is in the unit of the interface. */
  factor?: number;
}

const temperature = (label: string): Field => ({
  label,
  kind: 'temperature',
  unit: '°c',
  unitLabel: '°C',
});

export const NUMBERS: Record<NumberName, Field> = {
  impedanceOhm: { label: 'impedance', kind: 'impedance', unit: 'ohm', unitLabel: 'Ω' },
  velocityFactor: { label: 'velocity factor', kind: 'ratio', unit: '', unitLabel: '' },
  outerDiameterMm: { label: 'outer diameter', kind: 'bore', unit: 'mm', unitLabel: 'mm' },
  massGPerM: { label: 'mass of a metre', kind: 'mass', unit: 'g', unitLabel: 'g', factor: 1000 },
  bendRadiusOnceMm: { label: 'bends once to', kind: 'radius', unit: 'mm', unitLabel: 'mm' },
  bendRadiusRepeatedMm: {
    label: 'bends again and again to',
    kind: 'radius',
    unit: 'mm',
    unitLabel: 'mm',
  },
  minInstallC: temperature('coldest unrolling'),
  minOperatingC: temperature('coldest in use'),
  maxOperatingC: temperature('hottest in use'),
  peakVoltageV: { label: 'peak voltage', kind: 'voltage', unit: 'v', unitLabel: 'V' },
  averagePowerW: { label: 'average power', kind: 'power', unit: 'w', unitLabel: 'W' },
  ratedAtMHz: { label: 'stated at', kind: 'frequency', unit: 'mhz', unitLabel: 'MHz' },
  ratedAtC: temperature('and at'),
  shieldBoreMm: { label: 'bore of the shield', kind: 'bore', unit: 'mm', unitLabel: 'mm' },
  wetTimes: { label: 'wet, it loses', kind: 'margin', unit: '', unitLabel: 'times' },
  pricePerM: { label: 'price of a metre', kind: 'price', unit: '', unitLabel: '' },
  soldInM: { label: 'sold in lengths of', kind: 'length', unit: 'm', unitLabel: 'm' },
  withinPercent: {
    label: 'its losses may be off by',
    kind: 'percentOff',
    unit: '%',
    unitLabel: '%',
  },
};

const PER_FOOT = /\s*(?:\/|per)\s*(?:ft|foot|feet)$/i;
const PER_METRE = /\s*(?:\/|per)\s*(?:m|metre|meter)$/i;

const NAMES = Object.keys(NUMBERS) as NumberName[];

/** A draft from what a type says; of nothing for a new one. */
export function draftOf(type: CableType | null, currency: string): Draft {
  const text = (value: number | null | undefined) => (value == null ? '' : plain(value, 6));
  const yes = (value: boolean | null | undefined) => (value == null ? '' : value ? 'yes' : 'no');
  return {
    name: type?.name ?? '',
    family: type?.family ?? '',
    provenance: type?.provenance ?? 'SHEET',
    sourceTitle: type?.sourceTitle ?? '',
    sourceDate: type?.sourceDate ?? '',
    mechanicsProvenance: type?.mechanicsProvenance ?? 'SHEET',
    ratingsProvenance: type?.ratingsProvenance ?? 'SHEET',
    flexing: type?.flexing ?? '',
    balanced: type?.balanced ?? false,
    copperCladSteel: type?.copperCladSteel ?? false,
    followsPoints: type?.followsPoints ?? false,
    sunResistant: yes(type?.sunResistant),
    directBurial: yes(type?.directBurial),
    priceCurrency: type?.priceCurrency ?? currency,
    pricedOn: type?.pricedOn ?? '',
    jacket: type?.jacket ?? '',
    centreConductor: type?.centreConductor ?? '',
    shield: type?.shield ?? '',
    dielectric: type?.dielectric ?? '',
    note: type?.note ?? '',
    numbers: Object.fromEntries(
      NAMES.map((name) => [name, type ? text(type[name]) : name === 'impedanceOhm' ? '50' : '']),
    ) as Draft['numbers'],
    sheet:
      type?.points
        .map((p) => `${plain(p.frequencyMHz, 6)}\t${plain(p.attenuationDbPer100m, 6)}`)
        .join('\n') ?? '',
  };
}

/** A number as it is typed, in the unit of the interface; a message where it is not understood, null where it is empty. */
export function numberIn(draft: Draft, name: NumberName): number | string | null {
  const typed = draft.numbers[name].trim();
  if (typed === '') return null;
  const field = NUMBERS[name];
  const isPerFoot = name === 'pricePerM' && PER_FOOT.test(typed);
  const text = name === 'pricePerM' ? typed.replace(PER_FOOT, '').replace(PER_METRE, '') : typed;
  const parsed = parseQuantity(text, field.kind, field.unit);
  if (!parsed.ok) return parsed.message;
  if (name === 'velocityFactor' && parsed.value > 1 && parsed.value <= 100) {
    return `Is this in percent? A velocity factor of ${plain(parsed.value, 2)} % is ${plain(parsed.value / 100, 4)}.`;
  }
  const factor = isPerFoot ? 1 / METRES_PER_FOOT : (field.factor ?? 1);
  return Number((parsed.value * factor).toPrecision(12));
}

/** A type of the same name that is of another impedance: a 75 Ω cable is easily marked 50. */
export function namesakeOfOtherImpedance(
  draft: Draft,
  types: readonly CableType[],
): CableType | null {
  const ohm = numberIn(draft, 'impedanceOhm');
  const name = bare(draft.name);
  const namesake = types.find((t) => t.builtIn && name.includes(bare(t.name)));
  return namesake && typeof ohm === 'number' && Math.abs(namesake.impedanceOhm - ohm) > 0.1 * ohm
    ? namesake
    : null;
}

function bare(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]/g, '');
}

/** What is wrong with a draft, by field; nothing of its sheet, which the server reads. */
export function troublesIn(draft: Draft): Partial<Record<NumberName | 'name', string>> {
  const troubles: Partial<Record<NumberName | 'name', string>> = {};
  if (draft.name.trim() === '') troubles.name = 'It needs a name.';
  for (const name of NAMES) {
    const value = numberIn(draft, name);
    if (typeof value === 'string') troubles[name] = value;
  }
  for (const name of ['impedanceOhm', 'velocityFactor'] as const) {
    if (numberIn(draft, name) === null) troubles[name] = 'It must be given.';
  }
  return troubles;
}

/** A draft as it is stored, with the rows that were understood. */
export function requestOf(
  draft: Draft,
  points: CableTypeSpec['points'],
  revision: number | undefined,
): CableTypeSpec {
  const text = (value: string) => value.trim() || undefined;
  const yes = (value: '' | 'yes' | 'no') => (value === '' ? undefined : value === 'yes');
  const numbers = Object.fromEntries(
    NAMES.flatMap((name) => {
      const value = numberIn(draft, name);
      return typeof value === 'number' ? [[name, value]] : [];
    }),
  ) as Pick<CableTypeSpec, 'impedanceOhm' | 'velocityFactor'>;
  return {
    ...numbers,
    revision,
    name: draft.name.trim(),
    family: text(draft.family),
    provenance: draft.provenance,
    sourceTitle: text(draft.sourceTitle),
    sourceDate: text(draft.sourceDate),
    mechanicsProvenance: draft.mechanicsProvenance,
    ratingsProvenance: draft.ratingsProvenance,
    balanced: draft.balanced,
    copperCladSteel: draft.copperCladSteel,
    followsPoints: draft.followsPoints,
    sunResistant: yes(draft.sunResistant),
    directBurial: yes(draft.directBurial),
    flexing: draft.flexing || undefined,
    priceCurrency: draft.numbers.pricePerM.trim() === '' ? undefined : draft.priceCurrency,
    pricedOn: text(draft.pricedOn),
    jacket: text(draft.jacket),
    centreConductor: text(draft.centreConductor),
    shield: text(draft.shield),
    dielectric: text(draft.dielectric),
    note: text(draft.note),
    points,
  };
}
