import type { CableType, Connector, Piece } from '../../../api';
import { parseQuantity, plain } from '../../../units';
import type { LengthUnit } from '../../../units';
import type { Element } from '../document/model';
import { newId } from '../document/model';
import { shortConnector } from './elements';

/** Something that may be put into a gap of the run. */
export interface Offer {
  text: string;
  /** What it is, in a word. */
  kind: string;
  element: () => Element;
}

/** Devices usually met in a run, with what they usually lose, dB. */
const DEVICES: readonly { name: string; lossDb: number }[] = [
  { name: 'arrestor', lossDb: 0.1 },
  { name: 'antenna switch', lossDb: 0.15 },
  { name: 'filter', lossDb: 0.5 },
  { name: 'wattmeter', lossDb: 0.1 },
  { name: 'choke', lossDb: 0.1 },
];

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

/** A quantity at the beginning or the end of what is typed: "2 m RG-58", "RG-58 6ft", "filter 0.3 dB". */
const QUANTITY = /(^|\s)(\d[\d.,]*\s*(?:m|ft|'|cm|dB))(?=\s|$)/i;

/** What may be meant by what is typed into a gap; everything there is where nothing is typed. */
export function offersFor(
  typed: string,
  catalogue: CableType[],
  connectors: Connector[],
  unit: LengthUnit,
  pieces: readonly Piece[] = [],
): Offer[] {
  const quantity = QUANTITY.exec(typed)?.[2];
  const words = typed
    .replace(quantity ?? '', ' ')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean);
  const isMeant = (text: string) => words.every((w) => text.toLowerCase().includes(w));
  return [...everything(quantity, catalogue, connectors, unit), ...owned(pieces)].filter((o) =>
    isMeant(`${o.text} ${o.kind}`),
  );
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
      element: (): Element => ({ id: newId(), kind: 'JOINT', connectorKey: c.key }),
    })),
    ...DEVICES.map((d) => ({
      text: d.name,
      kind: 'device',
      element: (): Element => ({
        id: newId(),
        kind: 'DEVICE',
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
      element: (): Element => ({ id: newId(), kind: 'LINE', cableKey: c.key, lengthM }),
    })),
  ];
}
