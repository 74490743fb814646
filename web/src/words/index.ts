/** Every sentence that people read. Figures come in already read in the operator's units. */

import type { BandAssessment, Finding, Reason, Row } from '../api';
import {
  DB_PER_S_UNIT,
  fixed,
  lengthText,
  levelText,
  lossBetween,
  plain,
  powerText,
  READING_NAMES,
  significant,
  tied,
  unitOf,
} from '../units';
import type { LengthUnit, Level, Reading } from '../units';
import { reasonText } from './asked';
import { capital } from './capital';
import type { RunPart } from './asked';

export * from './anatomy';
export * from './asked';
export * from './cables';
export * from './changes';
export * from './glossary';
export * from './guide';
export * from './locker';
export * from './paper';

/** Less than this in dB is not worth a clause of its own. */
const NOTEWORTHY_DB = 0.005;

/** A range wider than this in dB between best and worst angle is told. */
const NOTEWORTHY_RANGE_DB = 0.05;

export const words = {
  verdict: { PASS: 'passes', MARGINAL: 'marginal', FAIL: 'fails' },
  wasJudged: { PASS: 'passed', MARGINAL: 'was marginal', FAIL: 'failed' },
  judged: { PASS: 'passes', MARGINAL: 'is marginal', FAIL: 'fails' },
  preference: {
    LEAST_COST: 'least cost that passes',
    LEAST_LOSS: 'least loss in the budget',
    MOST_MARGIN: 'most to spare',
    BEST_VALUE: 'best value',
    LIGHTEST: 'lightest that passes',
  },
  firstBy: {
    LEAST_COST: 'at the least cost of those that do',
    LEAST_LOSS: 'with the least loss of those that do',
    MOST_MARGIN: 'with the most to spare',
    BEST_VALUE: 'at the best value of those that do',
    LIGHTEST: 'as the lightest of those that do',
  },
  matching: {
    AT_RADIO: 'matched at the radio',
    NONE: 'no matching unit',
    AT_ANTENNA: 'matched at the antenna',
  },
  reading: READING_NAMES,
  provenance: {
    TYPICAL: 'typical of the type',
    SHEET: 'from a data sheet',
    MEASURED: 'measured',
    GUESSED: 'a guess',
  },
  environment: {
    CITY: 'a city',
    RESIDENTIAL: 'houses',
    RURAL: 'the country',
    QUIET_RURAL: 'a quiet place in the country',
  },
  limits: { ICNIRP_2020: 'ICNIRP 2020, public', FCC_1_1310: 'FCC 1.1310, uncontrolled' },
  caution:
    'Keep people away from the antenna while transmitting, bond the shield and fit an arrestor where it enters. Local codes, your licence and a qualified person decide.',
  voltageCaution: 'Touch neither line nor connector while keyed.',
  receiveCaution:
    'Bond the shield and fit an arrestor where it enters. Local codes and a qualified person decide.',
  samplePrices: 'Prices are samples to try things with, not offers.',
  typicalFigures: 'Figures are typical of the type; the sheet of the cable you buy may differ.',
} as const;

/** The heading of the note: what a cable brings on a band. */
export function brings(
  name: string,
  level: Level,
  reading: Reading,
  radioW: number | null,
  band: string,
): string {
  switch (reading) {
    case 'watts':
      return radioW === null || level.watts === null
        ? ''
        : `${name} brings ${significant(level.watts)} of your ${powerText(radioW)} to the antenna on ${band}.`;
    case 'percent':
      return radioW === null
        ? `${name} brings ${levelText(level, reading)} of the signal to the receiver on ${band}.`
        : `${name} brings ${levelText(level, reading)} of the power to the antenna on ${band}.`;
    case 'dB':
      return `${name} costs ${fixed(level.lossDb, 2)} dB on ${band}.`;
    case 'S':
      return `${name} costs ${fixed(level.lossDb / DB_PER_S_UNIT, 2)} S-units on ${band}.`;
  }
}

/** That a price is older than a year. */
export function oldPrice(day: string): string {
  return `Its price is of ${dateText(day)}: more than a year old.`;
}

/** That a radio makes more than the operator has noted as theirs. */
export function aboveLicence(radioW: number, licenceW: number): string {
  return `${powerText(radioW)} is more than the ${powerText(licenceW)} you noted as the most you may use; your licence decides.`;
}

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

/** What the other weather would make of it. */
export function otherWeatherSentence(wet: boolean, arrives: string, band: string): string {
  return wet
    ? `When the line is wet, ${arrives} on ${band}: an assumption of its type.`
    : `Taken as wet; dry it would be ${arrives} on ${band}.`;
}

/** What stands at the end of a row. */
export function rowSummary(
  row: Row,
  isFirstPass: boolean,
  preference: keyof typeof words.preference,
  bands: string[],
  part?: (reason: Reason) => RunPart | undefined,
): string {
  const [first] = row.reasons;
  if (first) return reasonText(first, bands[first.band ?? -1] ?? '', part?.(first));

  if (isFirstPass) {
    if (preference === 'LEAST_COST' && row.cost) return 'passes; least cost that does';
    if (preference === 'LEAST_LOSS') return 'passes; least loss that does';
    if (preference === 'BEST_VALUE' && row.cost) return 'passes; best value';
    if (preference === 'LIGHTEST' && row.mass) return 'passes; the lightest that does';
  }
  return row.leastSpareDb === null ? 'passes' : `passes, ${fixed(row.leastSpareDb, 1)} dB to spare`;
}

/** Where the power of one band goes, each place apart. */
export function whereItGoes(a: BandAssessment, isReceiver = false): string {
  const parts = [`cable and joints take ${fixed(a.matchedLossDb, 2)} dB`];
  if (Math.abs(a.mismatchLossDb) >= NOTEWORTHY_DB) {
    parts.push(`the standing wave adds ${fixed(a.mismatchLossDb, 2)} dB`);
  }
  if (a.matchingLossDb >= NOTEWORTHY_DB) {
    parts.push(`the matching unit takes ${fixed(a.matchingLossDb, 2)} dB`);
  }
  if (a.reflectionLossDb >= NOTEWORTHY_DB) {
    parts.push(
      isReceiver
        ? `${fixed(a.reflectionLossDb, 2)} dB does not enter the receiver because of the SWR there`
        : `${fixed(a.reflectionLossDb, 2)} dB never leaves the radio, sent back by the SWR`,
    );
  }
  if (a.foldbackDb >= NOTEWORTHY_DB) {
    parts.push(`the radio holds back ${fixed(a.foldbackDb, 2)} dB`);
  }
  return sentence(parts);
}

/** What the SWR is at both ends, and how far to trust the one at the radio. */
export function swrAtBothEnds(a: BandAssessment): string {
  const atRadio = a.swrAtRadio === null ? 'without limit' : fixed(a.swrAtRadio, 2);
  const atAntenna = a.swrAtAntenna === null ? 'without limit' : fixed(a.swrAtAntenna, 2);
  const flattered =
    a.swrAtRadio !== null && a.swrAtAntenna !== null && a.swrAtAntenna - a.swrAtRadio >= 0.05;
  return flattered
    ? `An SWR of ${atAntenna} at the antenna shows as ${atRadio} at the radio: loss in the run flatters the reading.`
    : `SWR ${atAntenna} at the antenna, ${atRadio} at the radio.`;
}

/** What a reading through another run says of the antenna, and what this run will show of it. */
export function readThroughSentence(
  through: string,
  swr: { antenna: number | null; now: number | null } | null,
): string {
  if (!swr) return `read at the radio through ${through}`;
  const tell = (value: number | null) => (value === null ? 'without limit' : fixed(value, 2));
  return `read at the radio through ${through}: ${tell(swr.antenna)} at the antenna; with this run the radio shows ${tell(swr.now)}.`;
}

/** Best and worst angle of an SWR whose angle is not known; empty when they hardly differ. */
export function angleRange(a: BandAssessment): string {
  if (!a.efficiencyRange) return '';
  const best = lossBetween(1, a.efficiencyRange.max);
  const worst = lossBetween(1, a.efficiencyRange.min);
  return worst - best < NOTEWORTHY_RANGE_DB
    ? ''
    : `Depending on the angle of that SWR the run loses ${fixed(best, 2)} to ${fixed(worst, 2)} dB.`;
}

/** What was asked, and what comes. */
export function askedSentence(asked: string, where: string, comes: string): string {
  return `You asked: ${asked}${where}; ${comes}.`;
}

/** Less than this between two plans is the same, dB. */
const SAME_DB = 0.05;

/** Which of two plans brings more, and where. */
export function besideEachOther(
  pairs: { name: string; a: BandAssessment | null; b: BandAssessment | null }[],
): string {
  const gains = pairs.flatMap(({ name, a, b }) =>
    a && b ? [{ name, db: a.totalLossDb - b.totalLossDb }] : [],
  );
  if (gains.length === 0) return 'The two plans have no band in common.';
  const tell = (letter: string, of: typeof gains) =>
    of.length === 0
      ? []
      : [`${letter} on ${of.map((g) => `${g.name} (${fixed(Math.abs(g.db), 1)} dB)`).join(', ')}`];
  const parts = [
    ...tell(
      'B',
      gains.filter((g) => g.db >= SAME_DB),
    ),
    ...tell(
      'A',
      gains.filter((g) => g.db <= -SAME_DB),
    ),
  ];
  const [first, ...rest] = parts;
  if (!first) return 'Both bring the same on every band they share.';
  return tied(`${[first.replace(' on ', ' brings more on '), ...rest].join(', ')}.`);
}

/** Less than this on receive nobody hears, dB. */
const HARDLY_HEARD_DB = 0.5;
const HARDLY_THERE_DB = 0.05;

/** What a run costs on receive, and what that means for the choice of cable. */
export function receiveSentence(band: string, lossDb: number, penaltyDb: number): string {
  const loss = `${fixed(lossDb, 1)} dB of loss`;
  if (penaltyDb < 0) {
    return `On receive on ${band} the preamplifier brings ${fixed(-penaltyDb, 1)} dB more than the run takes.`;
  }
  if (penaltyDb < HARDLY_HEARD_DB) {
    return lossDb < HARDLY_HEARD_DB
      ? `On receive the run hardly counts on ${band}.`
      : `On receive the ${loss} cost ${penaltyDb < HARDLY_THERE_DB ? 'next to nothing' : `${fixed(penaltyDb, 2)} dB`} on ${band}: noise from outside drowns the receiver’s own, and a thicker cable brings nothing.`;
  }
  const more = penaltyDb > lossDb + 0.1 ? ', more than they are: the noise outside is low' : '';
  return `On receive the ${loss} cost ${fixed(penaltyDb, 1)} dB of signal over noise on ${band}${more}.`;
}

/** A caution about the field near the antenna. */
export function nearSentence(
  eirp: string | null,
  distance: string | null,
  isNearField: boolean,
): string {
  if (eirp === null) {
    return 'How far to keep from the antenna while sending is not known: nobody has said its gain. Limits:';
  }
  if (distance === null) return `${eirp} EIRP; the limits say nothing of this frequency. Limits:`;
  return isNearField
    ? `${eirp} EIRP: keep off the antenna while sending; so near to it a far-field estimate does not hold. Limits:`
    : `${eirp} EIRP: keep people about ${distance} from the antenna while sending. Limits:`;
}

/** How a row compares with what else passes. */
export function besideTheOthers(
  row: Row,
  rows: Row[],
  preference: keyof typeof words.preference,
): string {
  const passing = rows.filter((r) => r.verdict !== 'FAIL');
  const first = passing[0];
  if (!first) return 'No cable passes.';
  if (row.verdict === 'FAIL') {
    return `${first.name} would ${first.verdict === 'PASS' ? 'pass' : 'only just pass'}, ${words.firstBy[preference]}.`;
  }
  if (!row.cost) return 'Its price is not known.';
  const amount = Number(row.cost.amount);
  const cheaper = passing.filter((r) => r.cost && Number(r.cost.amount) < amount);
  const surely = cheaper.filter((r) => r.verdict === 'PASS').map((r) => r.name);
  const barely = cheaper.filter((r) => r.verdict === 'MARGINAL').map((r) => r.name);
  if (surely.length > 0) {
    return `${listed(surely)} ${surely.length > 1 ? 'cost less and pass' : 'costs less and passes'} too.`;
  }
  if (barely.length > 0) {
    return `Nothing cheaper surely passes; ${listed(barely)} ${barely.length > 1 ? 'cost less and pass' : 'costs less and passes'} only just.`;
  }
  return 'Nothing cheaper passes.';
}

/** Names as they are read out, no more than two of them. */
function listed(names: string[]): string {
  return names.length > 2 ? `${names[0]} and ${names.length - 1} others` : names.join(' and ');
}

export function saveWords(state: { kind: string; what?: string }, ago: string): string {
  switch (state.kind) {
    case 'saved':
      return ago;
    case 'unsaved':
      return 'not yet';
    case 'saving':
      return 'saving …';
    case 'away':
      return `not saved: ${awayText(state.what)}`;
    case 'changedElsewhere':
      return 'not saved: changed elsewhere';
    default:
      return 'not saved: refused';
  }
}

/** Who does not do their part, and what happens about it. */
export function awayText(what: string | undefined): string {
  return what === 'disk'
    ? 'the disk is full; make room, it tries again'
    : `the ${what ?? 'server'} is away, trying again`;
}

/** How long ago, in words. */
export function agoText(at: number, now: number): string {
  const seconds = Math.max(0, Math.round((now - at) / 1000));
  if (seconds < 60) return 'a moment ago';
  if (seconds < 3600) return `${Math.round(seconds / 60)} min ago`;
  if (seconds < 36 * 3600) return `${Math.round(seconds / 3600)} h ago`;
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' }).format(at);
}

export function dateText(iso: string): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' }).format(new Date(iso));
}

export function readingUnit(reading: Reading): string {
  return unitOf(reading);
}

function sentence(parts: string[]): string {
  const text =
    parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
  return `${capital(text)}.`;
}

export * from './bench';
export * from './capital';
export * from './sentences';
