/** Sentences about what is asked, and what misses it. */

import type { Reason } from '../api';
import {
  acrossText,
  degreesText,
  fixed,
  massText,
  moneyFigure,
  plain,
  powerText,
  significant,
} from '../units';

export type Kind = NonNullable<Reason['values']['kind']>;

/**
 * What is asked, word by word: what stands before the number and after it, and what a list of kinds calls it. A kind
 * without a number is a sentence of its own.
 */
export const ASKED_WORDS: Record<Kind, { name: string; lead: string; tail: string }> = {
  LEAST_POWER: { name: 'watts that arrive', lead: 'at least', tail: 'at the antenna' },
  LEAST_PERCENT: { name: 'percent that arrives', lead: 'at least', tail: 'arrives' },
  MOST_LOSS: { name: 'dB that may be lost', lead: 'no more than', tail: 'lost' },
  MOST_S_UNITS: { name: 'S-units that may be lost', lead: 'no more than', tail: 'lost' },
  WITHIN_GAIN: {
    name: 'loss within the antenna’s gain',
    lead: 'no more lost than the antenna gains',
    tail: '',
  },
  MOST_RECEIVE_PENALTY: {
    name: 'penalty on receive',
    lead: 'no more than',
    tail: 'lost on receive',
  },
  LEAST_POWER_MARGIN: { name: 'heat that is borne', lead: 'heat borne at least', tail: '' },
  LEAST_VOLTAGE_MARGIN: {
    name: 'voltage that is borne',
    lead: 'voltage borne at least',
    tail: '',
  },
  BUDGET: { name: 'a budget', lead: 'for', tail: 'at most' },
  MOST_MASS: { name: 'mass in all', lead: 'no heavier than', tail: 'in all' },
  MOST_MASS_ON_MAST: { name: 'mass on the mast', lead: 'no heavier than', tail: 'on the mast' },
  DUCT_BORE: { name: 'a duct to go through', lead: 'through a bore of', tail: '' },
  BEND_ONCE: { name: 'a tight bend that stays', lead: 'bent once to', tail: '' },
  BEND_REPEATED: { name: 'bends again and again', lead: 'bent again and again to', tail: '' },
  COLDEST_UNROLLING: { name: 'unrolling in the cold', lead: 'unrolled at', tail: '' },
  SUN: { name: 'in the sun', lead: 'bears the sun', tail: '' },
  WATER: { name: 'in the wet', lead: 'bears the wet', tail: '' },
  BURIAL: { name: 'in the ground', lead: 'lies in the ground', tail: '' },
  REPEATED_FLEXING: { name: 'moved again and again', lead: 'moves again and again', tail: '' },
  IMPEDANCE: { name: 'impedance that fits', lead: 'of the station’s impedance', tail: '' },
  CONNECTORS: { name: 'connectors that fit', lead: 'fits its connectors', tail: '' },
};

/** Where a kind is drawn and explained, for those about how a cable is made. */
export const ASKED_TERMS: Partial<Record<Kind, string>> = {
  LEAST_POWER_MARGIN: 'rating',
  LEAST_VOLTAGE_MARGIN: 'rating',
  BEND_ONCE: 'bend',
  BEND_REPEATED: 'bend',
  COLDEST_UNROLLING: 'cold',
  SUN: 'sun',
  WATER: 'jacket',
  BURIAL: 'burial',
  REPEATED_FLEXING: 'centre-conductor',
  IMPEDANCE: 'impedance',
};

/** A number that was asked, or stands against it, with the unit of its kind. */
export function askedText(kind: Kind, value: number, currency = ''): string {
  switch (kind) {
    case 'LEAST_POWER':
      return powerText(value);
    case 'LEAST_PERCENT':
      return `${plain(value, 2)} %`;
    case 'MOST_LOSS':
    case 'MOST_RECEIVE_PENALTY':
    case 'WITHIN_GAIN':
      return `${plain(value, 2)} dB`;
    case 'MOST_S_UNITS':
      return `${plain(value, 2)} S-units`;
    case 'LEAST_POWER_MARGIN':
    case 'LEAST_VOLTAGE_MARGIN':
      return `${plain(value, 2)} times`;
    case 'BUDGET':
      return `${moneyFigure(value)} ${currency}`.trim();
    case 'MOST_MASS':
    case 'MOST_MASS_ON_MAST':
      return massText(value);
    case 'DUCT_BORE':
    case 'BEND_ONCE':
    case 'BEND_REPEATED':
      return acrossText(value);
    case 'COLDEST_UNROLLING':
      return degreesText(value);
    default:
      return '';
  }
}

/** One requirement as a sentence: at least 70 W at the antenna. */
export function askedPhrase(
  kind: Kind,
  value: number | null | undefined,
  currency?: string,
): string {
  const { lead, tail } = ASKED_WORDS[kind];
  return [lead, value == null ? '' : askedText(kind, value, currency), tail]
    .filter(Boolean)
    .join(' ');
}

/** The part of a run that a reason is about. */
export interface RunPart {
  name: string;
  isCable: boolean;
}

const SOME_PART: RunPart = { name: 'a part', isCable: false };

/** One reason, with its number. */
export function reasonText(reason: Reason, band: string, part: RunPart = SOME_PART): string {
  const { kind, reached } = reason.values;
  const on = band ? ` on ${band}` : '';
  if (kind == null) return partText(reason, on, part) ?? codeText(reason.code);
  switch (reason.code) {
    case 'MISSED':
      return missedText(reason, kind, on);
    case 'MISSED_AT_WORST_ANGLE':
      return `${figureAs(kind, reached)}${on} if the antenna's SWR falls badly, ${askedNumber(reason, kind)} asked`;
    case 'MISSED_AT_TOLERANCE':
      return `${figureAs(kind, reached)}${on} if the cable is as bad as its tolerance allows, ${askedNumber(reason, kind)} asked`;
    case 'LITTLE_TO_SPARE':
      return `only just: ${sparedText(reason, kind)}${on}`;
    case 'UNKNOWN':
      return `${UNKNOWN_WORDS[kind] ?? 'a figure'} is not known${on}`;
    default:
      return codeText(reason.code);
  }
}

/** What is told of a later day than this sheet: its code, in plain letters. */
export function codeText(code: string): string {
  return code.toLowerCase().replaceAll('_', ' ');
}

/** A reason that is no matter of asking: what a part bears, what a matching unit copes with, where knowledge ends. */
function partText(reason: Reason, on: string, part: RunPart): string | null {
  const reached = reason.values.reached ?? 0;
  const limit = reason.values.asked ?? 0;
  switch (reason.code) {
    case 'TOO_LOSSY':
      return `loses ${fixed(reached, 0)} dB${on}, too much to be assessed`;
    case 'EXTRAPOLATED':
      return part.isCable
        ? `beyond the data sheet of ${part.name}${on}: an extrapolation`
        : `${part.name} is above what it is made for${on}: an extrapolation`;
    case 'TOO_HOT':
      return `${part.name} would be heated ${over(reached)} the rating${on}`;
    case 'TOO_HIGH_VOLTAGE':
      return `${part.name} would stand ${over(reached)} the rated voltage${on}`;
    case 'NEARLY_TOO_HOT':
      return `only just: the heat in ${part.name} is borne ${significant(reached)} times over${on}`;
    case 'NEARLY_TOO_HIGH_VOLTAGE':
      return `only just: the voltage on ${part.name} is borne ${significant(reached)} times over${on}`;
    case 'BEYOND_MATCHING_UNIT':
      return `SWR ${fixed(reached, 1)}${on}, and the matching unit copes with ${plain(limit, 1)}`;
    case 'BEYOND_ASSUMED_MATCHING_UNIT':
      return `SWR ${fixed(reached, 1)}${on}, and the matching unit is assumed to cope with ${plain(limit, 1)}`;
    case 'BEYOND_MATCHING_UNIT_AT_WORST_ANGLE':
      return `SWR up to ${fixed(reached, 1)}${on} if the antenna’s SWR falls badly, and the matching unit copes with ${plain(limit, 1)}`;
    case 'BALANCED_MEETS_UNBALANCED':
      return 'a balanced line: it needs a transformer or a balanced matching unit';
    default:
      return null;
  }
}

/** How much more than it bears, from how many times over it does. */
function over(margin: number): string {
  return margin > 0 ? `${significant(1 / margin)} times` : 'endlessly more than';
}

/** What a requirement would have to know and does not. */
const UNKNOWN_WORDS: Partial<Record<Kind, string>> = {
  WITHIN_GAIN: 'the antenna’s gain',
  MOST_RECEIVE_PENALTY: 'the noise outside',
  LEAST_POWER_MARGIN: 'the power it bears',
  LEAST_VOLTAGE_MARGIN: 'the voltage it bears',
  BUDGET: 'its price',
  MOST_MASS: 'its mass',
  MOST_MASS_ON_MAST: 'its mass',
  DUCT_BORE: 'its diameter',
  BEND_ONCE: 'how far it bends',
  BEND_REPEATED: 'how far it bends again and again',
  COLDEST_UNROLLING: 'how cold it may be unrolled',
  SUN: 'whether it bears the sun',
  WATER: 'whether it bears the wet',
  BURIAL: 'whether it may lie in the ground',
  REPEATED_FLEXING: 'whether it may be moved again and again',
  CONNECTORS: 'whether its connectors fit',
};

function askedNumber(reason: Reason, kind: Kind): string {
  return askedText(kind, reason.values.asked ?? 0, reason.values.currency ?? '');
}

function missedText(reason: Reason, kind: Kind, on: string): string {
  const asked = reason.values.asked ?? 0;
  const reached = reason.values.reached ?? 0;
  const number = askedNumber(reason, kind);
  switch (kind) {
    case 'LEAST_POWER':
      return `${figureAs(kind, reached)} arrive${on}, ${number} asked`;
    case 'LEAST_PERCENT':
      return `${figureAs(kind, reached)} arrives${on}, ${number} asked`;
    case 'MOST_LOSS':
    case 'MOST_S_UNITS':
      return `${figureAs(kind, reached)} lost${on}, ${number} allowed`;
    case 'WITHIN_GAIN':
      return `loses ${fixed(reached, 2)} dB more than the antenna gains${on}`;
    case 'MOST_RECEIVE_PENALTY':
      return `${figureAs(kind, reached)} lost on receive${on}, ${number} allowed`;
    case 'LEAST_POWER_MARGIN':
      return `its heat is borne ${significant(reached)} times over${on}, ${plain(asked, 2)} asked`;
    case 'LEAST_VOLTAGE_MARGIN':
      return `its voltage is borne ${significant(reached)} times over${on}, ${plain(asked, 2)} asked`;
    case 'BUDGET':
      return `costs ${askedText(kind, reached, reason.values.currency ?? '')}, the budget is ${number}`;
    case 'MOST_MASS':
    case 'MOST_MASS_ON_MAST':
      return `weighs ${figureAs(kind, reached)}${kind === 'MOST_MASS' ? '' : ' on the mast'}, ${number} allowed`;
    case 'DUCT_BORE':
      return `${figureAs(kind, reached)} across, the bore is ${number}`;
    case 'BEND_ONCE':
      return `bends once to ${figureAs(kind, reached)}, ${number} asked`;
    case 'BEND_REPEATED':
      return `bends again and again to ${figureAs(kind, reached)}, ${number} asked`;
    case 'COLDEST_UNROLLING':
      return `not to be unrolled below ${figureAs(kind, reached)}, ${number} asked`;
    case 'SUN':
      return 'its jacket does not bear the sun';
    case 'WATER':
      return 'its jacket does not keep the wet out';
    case 'BURIAL':
      return 'not made to lie in the ground';
    case 'REPEATED_FLEXING':
      return 'not made to be moved again and again';
    case 'IMPEDANCE':
      return 'not of the station’s impedance';
    case 'CONNECTORS':
      return 'its connectors do not fit it, or not the sockets';
  }
}

function sparedText(reason: Reason, kind: Kind): string {
  const reached = reason.values.reached ?? 0;
  switch (kind) {
    case 'WITHIN_GAIN':
      return `${fixed(-reached, 2)} dB less lost than the antenna gains`;
    case 'LEAST_POWER_MARGIN':
      return `its heat is borne ${significant(reached)} times over`;
    case 'LEAST_VOLTAGE_MARGIN':
      return `its voltage is borne ${significant(reached)} times over`;
    case 'MOST_RECEIVE_PENALTY':
      return `${figureAs(kind, reached)} on receive`;
    case 'BUDGET':
      return `costs ${askedText(kind, reached, reason.values.currency ?? '')}`;
    case 'DUCT_BORE':
      return `${figureAs(kind, reached)} across`;
    case 'BEND_ONCE':
      return `bends once to ${figureAs(kind, reached)}`;
    case 'BEND_REPEATED':
      return `bends again and again to ${figureAs(kind, reached)}`;
    case 'MOST_MASS':
    case 'MOST_MASS_ON_MAST':
      return `weighs ${figureAs(kind, reached)}`;
    default:
      return figureAs(kind, reached);
  }
}

function figureAs(kind: Kind, value: number | null): string {
  if (value === null) return 'nothing';
  switch (kind) {
    case 'LEAST_PERCENT':
      return `${significant(value)} %`;
    case 'MOST_LOSS':
    case 'MOST_RECEIVE_PENALTY':
      return `${fixed(value, 2)} dB`;
    case 'MOST_S_UNITS':
      return `${fixed(value, 2)} S-units`;
    default:
      return askedText(kind, value);
  }
}
