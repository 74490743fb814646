/** What an operator should know about a run, in sentences. */

import type { Finding } from '../api';
import { fixed, frequencyText, lengthText, plain, powerText, significant, tied } from '../units';
import type { LengthUnit } from '../units';

/** Below this a margin fails, and below the second it is met with little to spare. */
const BORNE = 1;
const BORNE_WELL = 1.5;

/** The place that comes nearest to what its part bears, in a sentence. */
export function tightestSentence(
  place: {
    what: 'heat' | 'voltage';
    margin: number;
    fromRadioM: number | null;
    there: number;
    rated: number;
  },
  name: string,
  band: string,
  lengths: LengthUnit,
): string {
  const where =
    place.fromRadioM === null
      ? name
      : `${name}, ${lengthText(Number(place.fromRadioM.toFixed(1)), lengths)} from the radio`;
  const load =
    place.what === 'heat'
      ? `is heated as by ${powerText(place.there)} on average and bears ${powerText(place.rated)}`
      : `stands ${significant(place.there)} V peak and bears ${significant(place.rated)} V`;
  const judged =
    place.margin < BORNE
      ? 'Overloaded'
      : place.margin < BORNE_WELL
        ? 'With little to spare'
        : 'Tightest place';
  return tied(`${judged} on ${band}: ${where} ${load}.`);
}

/** Whether a margin is worth a caution. */
export function isTight(margin: number): boolean {
  return margin < BORNE_WELL;
}

/** What a finding says to an operator; null for one that is told elsewhere. */
export function findingText(finding: Finding, elementName: string): string | null {
  const { swr, limit, impedanceOhm, stationOhm } = finding.values as Record<
    string,
    number | undefined
  >;
  const ratio = swr === undefined ? 'without limit' : `of ${fixed(swr, 1)}`;
  switch (finding.code) {
    case 'BEYOND_MATCHING_UNIT':
      return `An SWR ${ratio} is beyond the ${plain(limit ?? 0, 1)} that your matching unit copes with: check it, or bring the antenna nearer to a match.`;
    case 'RADIO_SEES_SWR':
      return `The radio sees an SWR ${ratio} without a matching unit; many reduce their power above ${plain(limit ?? 0, 1)}.`;
    case 'NO_LOAD':
      return `An SWR ${ratio} is as good as no load: do not key into it, and look for what is loose.`;
    case 'BALANCED_INTO_RADIO':
      return `${elementName} is a balanced line: at an unbalanced radio it needs a transformer or a balanced matching unit.`;
    case 'NEEDS_BALANCED_UNIT':
      return `${elementName} is a balanced line: the matching unit at the radio must be a balanced one.`;
    case 'BALANCED_MEETS_COAX':
      return `${elementName} meets a line of the other kind: balanced line and coax go together through a transformer.`;
    case 'COPPER_CLAD_STEEL':
      return `${elementName} has a centre of copper-clad steel, or may have: below about 20 MHz it loses more than these figures say.`;
    case 'TRANSFORMER_ESTIMATED':
      return `${elementName} loses ${fixed(Number(finding.values.lossDb), 1)} dB at this SWR: an estimate, since a real core is limited by its own voltage and current.`;
    case 'OTHER_IMPEDANCE':
      return `${elementName} is of ${plain(impedanceOhm ?? 0, 0)} Ω in a ${plain(stationOhm ?? 0, 0)} Ω station: it transforms the load, by its length.`;
    case 'PIECE_OF_OTHER_LENGTH': {
      const { piece, lengthM, inRunM } = finding.values as Record<string, string | number>;
      return `${piece} is ${plain(Number(lengthM), 2)} m long now, and stands here with ${plain(Number(inRunM), 2)} m: take it out and put it in again.`;
    }
    case 'EXTRAPOLATED_DEVICE':
      return `${elementName} is not known at ${frequencyText(Number(finding.values.frequencyMHz))}: the nearest figure of its table stands in.`;
    case 'PREAMPLIFIER_BYPASSED': {
      const lossDb = Number(finding.values.lossDb);
      return `${elementName} is gone round on transmit${lossDb > 0 ? `, which takes ${fixed(lossDb, 2)} dB` : ''}; its gain counts on receive alone.`;
    }
    case 'PREAMPLIFIER_OVERLOADED':
      return `The transmitter near by reaches the preamplifier ${fixed(Number(finding.values.overDb), 0)} dB above what it bears: put a filter before it, or more distance between the antennas.`;
    case 'REFLECTS_AT_RADIO':
      return 'The line is flat, but not of the radio’s impedance: it still reflects there.';
    default:
      return null;
  }
}

/** Of which parts nobody has said what they bear. */
export function unknownRatings(names: string[]): string {
  const all = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names[0];
  return `What ${all} ${names.length > 1 ? 'bear' : 'bears'} is not known, so it is not judged.`;
}
