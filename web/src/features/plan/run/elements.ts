import type { BandAssessment, CableType, Connector } from '../../../api';
import { fixed, plain } from '../../../units';
import type { Fork } from '../document/branches';
import type { Element } from '../document/model';

/** What an element is called in speech. */
export const KIND_WORDS: Record<Element['kind'], string> = {
  LINE: 'cable',
  JOINT: 'joint',
  DEVICE: 'device',
  TRANSFORMER: 'transformer',
  PREAMPLIFIER: 'preamplifier',
  FORK: 'fork',
};

/** What names are looked up in. */
export interface Named {
  catalogue: CableType[];
  connectors: Connector[];
  /** The cable drawn in the sections that are up for choice. */
  cableName: string;
  /** Whether that is what lies in the run now, so that each section may be called by its own piece. */
  isPresent: boolean;
}

/** What an element is called on the drawing: its own name, or that of what it is made of. */
export function elementName(
  element: Element,
  { catalogue, connectors, cableName, isPresent }: Named,
): string {
  if (element.kind === 'LINE' && element.candidate && !(isPresent && element.pieceId)) {
    return cableName;
  }
  if (element.name) return element.name;
  switch (element.kind) {
    case 'LINE':
      return catalogue.find((t) => t.key === element.cableKey)?.name ?? element.cableKey ?? 'cable';
    case 'JOINT':
      return shortConnector(
        connectors.find((c) => c.key === element.connectorKey)?.name ?? 'joint',
      );
    case 'DEVICE':
      return 'device';
    case 'TRANSFORMER':
      return `${plain(element.impedanceRatio ?? 1)}:1`;
    case 'PREAMPLIFIER':
      return 'preamplifier';
    case 'FORK':
      return forkName(element);
  }
}

/** A connector's name without what stands in brackets. */
export function shortConnector(name: string): string {
  return name.replace(/ \(.*/, '');
}

function forkName({ form, ports }: Fork): string {
  const ways = ports?.length ?? 2;
  if (form === 'SPLITTER') return `splitter 1:${ways}`;
  return ways === 3 ? 'triplexer' : 'diplexer';
}

/** What an element does to a level, dB: what it loses, or on receive what a preamplifier brings. */
export function changeDb(
  element: Element,
  lossDb: number | undefined,
  isReceiver: boolean,
): string | null {
  if (element.kind === 'PREAMPLIFIER' && isReceiver) return `+${fixed(element.gainDb ?? 0, 1)} dB`;
  return lossDb === undefined ? null : `${fixed(-lossDb, 2)} dB`;
}

/** What became heat in an element, W; null for a receiver. */
export function heatOf(assessment: BandAssessment | undefined, index: number): number | null {
  const element = assessment?.elements[index];
  return element?.powerInW != null && element.powerOutW != null
    ? element.powerInW - element.powerOutW
    : null;
}
