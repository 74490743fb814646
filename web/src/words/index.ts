/** Every sentence that people read. Figures come in already read in the operator's units. */

import type { BandAssessment, Reason, Row } from '../api';
import {
  DB_PER_S_UNIT,
  fixed,
  levelText,
  powerText,
  READING_NAMES,
  significant,
  tied,
  unitOf,
} from '../units';
import type { Level, Reading } from '../units';
import { reasonText } from './asked';
import type { RunPart } from './asked';

export * from './anatomy';
export * from './asked';
export * from './cables';
export * from './changes';
export * from './findings';
export * from './glossary';
export * from './guide';
export * from './locker';
export * from './money';
export * from './paper';
export * from './people';
export * from './run';
export * from './sites';

export const words = {
  verdict: { PASS: 'passes', MARGINAL: 'marginal', FAIL: 'fails' },
  wasJudged: { PASS: 'passed', MARGINAL: 'was marginal', FAIL: 'failed' },
  judged: { PASS: 'passes', MARGINAL: 'is marginal', FAIL: 'fails' },
  preference: {
    LEAST_COST: 'least cost that passes',
    LEAST_LOSS: 'least loss in the budget',
    MOST_MARGIN: 'most to spare',
    SUREST: 'surest first',
    BEST_VALUE: 'best value',
    LIGHTEST: 'lightest that passes',
  },
  firstBy: {
    LEAST_COST: 'at the least cost of those that do',
    LEAST_LOSS: 'with the least loss of those that do',
    MOST_MARGIN: 'with the most to spare',
    SUREST: 'as the surest of those that do',
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
  standing: { SUGGESTED: 'suggested', PICKED: 'picked', CHOSEN: 'chosen' },
  suggested: 'Suggested: it comes first in the ledger, until you pick a row.',
  pickedForRun: 'You picked it.',
  chosenForRun: 'You chose it.',
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

/** Less than this between two plans is the same, dB. */
const SAME_DB = 0.05;

/** Letters by which what stands side by side is spoken of. */
export function letterOf(index: number): string {
  return String.fromCharCode('A'.charCodeAt(0) + index);
}

/** What each brings more or less than the one that they are read against, and where. */
export function besideEachOther(
  bands: { name: string; of: ({ assessment: BandAssessment | null } | null)[] }[],
  base: number,
): string[] {
  const count = bands[0]?.of.length ?? 0;
  return Array.from({ length: count }, (_, i) => i)
    .filter((i) => i !== base)
    .map((i) => {
      const gains = bands.flatMap(({ name, of }) => {
        const one = of[i]?.assessment;
        const other = of[base]?.assessment;
        return one && other ? [{ name, db: other.totalLossDb - one.totalLossDb }] : [];
      });
      if (gains.length === 0) return `${letterOf(i)} has no band in common with ${letterOf(base)}.`;
      const parts = gains
        .filter((g) => Math.abs(g.db) >= SAME_DB)
        .map(
          (g, n) =>
            `${fixed(Math.abs(g.db), 1)} dB ${g.db > 0 ? 'more' : 'less'}${n === 0 ? ` than ${letterOf(base)}` : ''} on ${g.name}`,
        );
      return tied(
        parts.length === 0
          ? `${letterOf(i)} brings the same as ${letterOf(base)} on every band they share.`
          : `${letterOf(i)} brings ${parts.join(', ')}.`,
      );
    });
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
  if (what === 'session') return 'you are signed out; sign in, it tries again';
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

export function timeText(iso: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' }).format(new Date(iso));
}

export function dateText(iso: string): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' }).format(new Date(iso));
}

export function readingUnit(reading: Reading): string {
  return unitOf(reading);
}

export * from './bench';
export * from './benchFindings';
export * from './sure';
export * from './capital';
export * from './sentences';
export * from './rowsLeftOut';
