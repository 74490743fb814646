import type { CableType, Connector, OwnDevice, Piece } from '../../../api';
import { parseQuantity, plain } from '../../../units';
import type { LengthUnit } from '../../../units';
import type { Element } from '../document/model';
import { newFork } from '../document/branches';
import { newId } from '../../../ui/newId';
import { shortConnector } from './elements';

/** Something that may be put into a gap of the run. */
export interface Offer {
  text: string;
  /** What it is, in a word. */
  kind: string;
  /** What else the trade calls it. */
  also?: string;
  /** How many of it are put in, one after the other. */
  count?: number;
  element: () => Element;
}

type DeviceForm = NonNullable<Extract<Element, { kind: 'DEVICE' }>['form']>;

/** Devices usually met in a run, with what they usually lose, dB, and what else they are called. */
const DEVICES: readonly { name: string; lossDb: number; also?: string; form?: DeviceForm }[] = [
  { name: 'arrestor', lossDb: 0.1, also: 'lightning protector surge', form: 'ARRESTOR' },
  { name: 'antenna switch', lossDb: 0.15, also: 'coax relay', form: 'SWITCH' },
  { name: 'filter', lossDb: 0.5, also: 'low-pass bandpass notch', form: 'FILTER' },
  { name: 'wattmeter', lossDb: 0.1, also: 'power SWR meter' },
  { name: 'choke', lossDb: 0.1, also: 'common-mode ferrite balun 1:1' },
  { name: 'attenuator', lossDb: 3, also: 'pad', form: 'ATTENUATOR' },
  { name: 'bias tee', lossDb: 0.3, also: 'injector feed', form: 'BIAS_TEE' },
  {
    name: 'one port of a diplexer',
    lossDb: 0.4,
    also: 'duplexer triplexer',
    form: 'DIPLEXER_PORT',
  },
];

/** What a splitter to so many ports loses: its split, and what it takes besides. */
const SPLITTER_EXCESS_DB = 0.5;

/** Where a run forks, with what each of its ports usually loses, dB. */
const FORKS: readonly {
  text: string;
  also: string;
  fork: Parameters<typeof newFork>;
}[] = [
  {
    text: 'diplexer to two antennas',
    also: 'fork duplexer branch',
    fork: ['DIPLEXER', 'ANTENNAS', ['low bands', 'high bands'], 0.3],
  },
  {
    text: 'triplexer to three antennas',
    also: 'fork branch',
    fork: ['DIPLEXER', 'ANTENNAS', ['low bands', 'middle bands', 'high bands'], 0.4],
  },
  {
    text: 'diplexer from two radios',
    also: 'fork duplexer branch combiner',
    fork: ['DIPLEXER', 'RADIOS', ['low bands', 'high bands'], 0.3],
  },
  ...[2, 3, 4].map((ways): { text: string; also: string; fork: Parameters<typeof newFork> } => ({
    text: `splitter to ${ways} receivers`,
    also: 'fork branch divider multicoupler',
    fork: [
      'SPLITTER',
      'RADIOS',
      Array.from({ length: ways }, (_, i) => `receiver ${i + 1}`),
      SPLITTER_EXCESS_DB,
    ],
  })),
];

const USUAL_PREAMPLIFIERS = [
  { gainDb: 20, noiseFigureDb: 1 },
  { gainDb: 12, noiseFigureDb: 2 },
];

const SPLITTER_WAYS = [2, 3, 4, 8];

/** Impedance ratios of usual transformers, with what they usually lose, dB. */
const TRANSFORMERS: readonly { ratio: number; lossDb: number }[] = [
  { ratio: 1, lossDb: 0.15 },
  { ratio: 4, lossDb: 0.2 },
  { ratio: 6, lossDb: 0.25 },
  { ratio: 9, lossDb: 0.3 },
  { ratio: 49, lossDb: 0.8 },
  { ratio: 0.25, lossDb: 0.2 },
];

const USUAL_LENGTH_M = 2;
const PIGTAIL_M = 0.5;

/** A quantity in what is typed: "2 m RG-58", "RG-58 6ft", "filter 0.3 dB", "3 barrels of 0.2 dB". */
const QUANTITY = /(^|\s)(\d[\d.,]*\s*(?:m|ft|'|cm|in|dB))(?=\s|$)/i;

/** How many of something: "3 barrels", "2 × N". */
const COUNT = /^(\d{1,2})\s*(?:×|x)?\s+(?=\p{L})/iu;
const MOST_AT_ONCE = 12;

/** Words that say nothing of what it is. */
const LITTLE_WORDS = new Set(['of', 'a', 'an', 'the', 'with', 'each', 'flat', 'at', 'and']);

/** What may be meant by what is typed into a gap; everything there is where nothing is typed. */
export function offersFor(
  typed: string,
  catalogue: CableType[],
  connectors: Connector[],
  unit: LengthUnit,
  pieces: readonly Piece[] = [],
  devices: readonly OwnDevice[] = [],
): Offer[] {
  const all = [catalogue, connectors, unit, pieces, devices] as const;
  const asItStands = meantBy(typed.trim(), 1, ...all);
  const count = COUNT.exec(typed.trim());
  // "10 foam" is Foam 10; "3 barrels" is three of them
  return asItStands.length > 0 || !count
    ? asItStands
    : meantBy(typed.trim().replace(COUNT, ''), Math.min(MOST_AT_ONCE, Number(count[1])), ...all);
}

function meantBy(
  text: string,
  count: number,
  catalogue: CableType[],
  connectors: Connector[],
  unit: LengthUnit,
  pieces: readonly Piece[],
  devices: readonly OwnDevice[],
): Offer[] {
  const quantity = QUANTITY.exec(text)?.[2];
  const words = text
    .replace(quantity ?? '', ' ')
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '' && !LITTLE_WORDS.has(w))
    .map((w) => (w.length > 3 ? w.replace(/s$/, '') : w));
  const isMeant = (offer: Offer) => {
    const known = `${offer.text} ${offer.kind} ${offer.also ?? ''}`.toLowerCase();
    return words.every((w) => known.includes(w));
  };
  // a whole word is meant rather than the beginning of one, and that rather than its middle
  const nearness = (offer: Offer) => {
    const known = offer.text.toLowerCase().split(/\s+/);
    const of = (w: string) => (known.includes(w) ? 2 : known.some((k) => k.startsWith(w)) ? 1 : 0);
    return words.reduce((sum, w) => sum + of(w), 0);
  };
  const meant = [
    ...kept(devices),
    ...everything(quantity, catalogue, connectors, unit),
    ...owned(pieces),
  ]
    .filter(isMeant)
    .toSorted((a, b) => nearness(b) - nearness(a));
  return meant.map((offer) => ({
    ...offer,
    text: saidOf(offer, count, quantity),
    count,
  }));
}

/** What will be put in, as it is read out. */
function saidOf(offer: Offer, count: number, quantity: string | undefined): string {
  const element = offer.element();
  const takesQuantity =
    quantity !== undefined &&
    (/db$/i.test(quantity) ? element.kind !== 'LINE' : element.kind === 'LINE') &&
    offer.kind !== 'piece of mine';
  return `${count > 1 ? `${count} × ` : ''}${offer.text}${takesQuantity ? `, ${quantity.trim()}` : ''}`;
}

/** Words of the trade that are no part of a run, and where they stand instead. */
const ELSEWHERE: readonly { word: RegExp; text: string }[] = [
  {
    word: /\b(tuner|transmatch|matching unit|atu)\b/i,
    text: 'A tuner (matching unit) is set on the ribbon, at the radio or at the antenna.',
  },
  { word: /\bantennas?\b/i, text: 'The antenna is what the run ends in: set it in its band.' },
];

/** What to say where nothing is called what is typed: where it stands instead, or the nearest that is known. */
export function notKnown(typed: string, known: readonly Offer[]): string {
  const elsewhere = ELSEWHERE.find((e) => e.word.test(typed));
  if (elsewhere) return elsewhere.text;
  const nearest = nearestTo(typed.trim().toLowerCase(), known);
  return `Nothing here is called “${typed.trim()}”.${nearest ? ` The nearest is ${nearest}.` : ''} Type a cable, a connector or a device, such as “2 m RG-58” or “barrel 0.2 dB”.`;
}

/** The offer that shares most pairs of letters with what is typed. */
function nearestTo(typed: string, known: readonly Offer[]): string | null {
  const pairs = pairsOf(typed);
  const scored = known.map((o) => {
    const of = pairsOf(o.text.toLowerCase());
    const shared = [...pairs].filter((p) => of.has(p)).length;
    return { text: o.text, share: (2 * shared) / Math.max(1, pairs.size + of.size) };
  });
  const [best] = scored.toSorted((a, b) => b.share - a.share);
  return best && best.share > 0.2 ? best.text : null;
}

function pairsOf(text: string): Set<string> {
  return new Set(
    Array.from({ length: Math.max(0, text.length - 1) }, (_, i) => text.slice(i, i + 2)),
  );
}

/** Devices of one's own: what is put in is a copy. */
function kept(devices: readonly OwnDevice[]): Offer[] {
  return devices.map((d) => ({
    text: d.name,
    kind: 'device of mine',
    element: (): Element => ({ ...d.element, id: newId(), name: d.name }) as Element,
  }));
}

/** Pieces of the locker that may lie in a run, each with its own length. */
function owned(pieces: readonly Piece[]): Offer[] {
  return pieces
    .filter((p) => p.standing !== 'RETIRED' && (p.cableKey !== null || p.lastTestedOn !== null))
    .map((p) => ({
      text: `${p.label}, ${plain(p.lengthM, 2)} m`,
      kind: 'piece of mine',
      element: (): Element => ({
        id: newId(),
        kind: 'LINE',
        name: p.label,
        pieceId: p.id,
        lengthM: p.lengthM,
      }),
    }));
}

function isOffered(type: { retired: boolean }): boolean {
  return !type.retired;
}

function everything(
  quantity: string | undefined,
  catalogue: CableType[],
  connectors: Connector[],
  unit: LengthUnit,
): Offer[] {
  const length = quantity && parseQuantity(quantity, 'length', unit);
  const loss = quantity && parseQuantity(quantity, 'elementLoss', 'db');
  const lengthM = length && length.ok ? length.value : USUAL_LENGTH_M;
  const ownLoss = loss && loss.ok && /db$/i.test(quantity) ? loss.value : null;
  return [
    ...connectors.filter(isOffered).map((c) => ({
      text: shortConnector(c.name),
      kind: 'joint',
      also: 'plug connector PL-259',
      element: (): Element => ({
        id: newId(),
        kind: 'JOINT',
        connectorKey: c.key,
        ...(ownLoss !== null && { lossDb: ownLoss }),
      }),
    })),
    ...connectors.filter(isOffered).map((c) => ({
      text: `${shortConnector(c.name)} barrel`,
      kind: 'barrel',
      also: 'adapter coupler joiner female',
      element: (): Element => ({
        id: newId(),
        kind: 'JOINT',
        connectorKey: c.key,
        barrel: true,
        name: 'barrel',
        ...(ownLoss !== null && { lossDb: ownLoss }),
      }),
    })),
    {
      text: 'adapter',
      kind: 'joint',
      also: 'between series',
      element: (): Element => ({
        id: newId(),
        kind: 'DEVICE',
        name: 'adapter',
        lossDb: ownLoss ?? 0.1,
      }),
    },
    ...SPLITTER_WAYS.map((ways) => ({
      text: `splitter 1:${ways}`,
      kind: 'one port of it',
      also: 'divider hub device',
      element: (): Element => ({
        id: newId(),
        kind: 'DEVICE',
        form: 'SPLITTER',
        ways,
        name: `splitter 1:${ways}`,
        lossDb: ownLoss ?? SPLITTER_EXCESS_DB,
      }),
    })),
    ...FORKS.map((f) => ({
      text: f.text,
      kind: 'fork',
      also: f.also,
      element: (): Element => newFork(...f.fork),
    })),
    ...USUAL_PREAMPLIFIERS.map((p) => ({
      text: `preamplifier, ${plain(p.gainDb)} dB`,
      kind: 'preamplifier',
      also: 'preamp LNA pre-amp amplifier',
      element: (): Element => ({ id: newId(), kind: 'PREAMPLIFIER', ...p }),
    })),
    ...DEVICES.map((d) => ({
      text: d.name,
      kind: 'device',
      also: d.also,
      element: (): Element => ({
        id: newId(),
        kind: 'DEVICE',
        ...(d.form && { form: d.form }),
        name: d.name,
        lossDb: ownLoss ?? d.lossDb,
      }),
    })),
    ...TRANSFORMERS.map((t) => ({
      text: t.ratio < 1 ? `1:${1 / t.ratio}` : `${t.ratio}:1`,
      kind: 'transformer',
      element: (): Element => ({
        id: newId(),
        kind: 'TRANSFORMER',
        impedanceRatio: t.ratio,
        lossDb: ownLoss ?? t.lossDb,
      }),
    })),
    ...catalogue.filter(isOffered).map((c) => ({
      text: c.name,
      kind: c.balanced ? 'balanced line' : 'cable',
      also: c.balanced ? 'ladder open wire twin' : 'jumper coax',
      element: (): Element => ({ id: newId(), kind: 'LINE', cableKey: c.key, lengthM }),
    })),
    ...catalogue
      .filter((c) => isOffered(c) && !c.balanced)
      .map((c) => ({
        text: `${c.name} pigtail`,
        kind: 'cable',
        also: 'tail jumper',
        element: (): Element => ({
          id: newId(),
          kind: 'LINE',
          name: `${c.name} pigtail`,
          cableKey: c.key,
          lengthM: quantity === undefined ? PIGTAIL_M : lengthM,
        }),
      })),
  ];
}
