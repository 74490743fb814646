/** What the locker says: how a piece stands and why, what happened to it, what a kit is good for. */

import type { FoundKit, FoundKits, Piece, PieceEnd, PieceEvent } from '../api';
import { fixed, lengthText, plain } from '../units';
import type { LengthUnit } from '../units';

export const STANDING_WORDS: Record<Piece['standing'], string> = {
  FINE: 'fine',
  DUE: 'due',
  FAILING: 'failing',
  RETIRED: 'retired',
};

/** The verdict whose shape and colour a standing takes; what is retired has none. */
export const STANDING_VERDICT = {
  FINE: 'PASS',
  DUE: 'MARGINAL',
  FAILING: 'FAIL',
} as const;

type Reason = Piece['reasons'][number];

const REASONS: Record<Reason['code'], (reason: Reason) => string> = {
  RETIRED: (r) => `Retired on ${r.on}.`,
  PAST_LIMIT: (r) =>
    `It has had its day: ${fixed(r.amount ?? 0, 2)} dB more than at its first test.`,
  WORSE_THAN_SHEET: (r) =>
    `Its last test, of ${r.on}, was ${fixed(r.amount ?? 0, 2)} dB worse than its type allows.`,
  BETTER_THAN_CAN_BE: (r) =>
    `Its last test, of ${r.on}, was better than its type can be: look at its label, its length and that test.`,
  NEVER_TESTED: () => 'Its loss was never measured.',
  DUE_BY_AGE: (r) => `To be tested since ${r.on}: the last test is too long ago.`,
  DUE_BY_OUTINGS: (r) =>
    `To be tested since ${r.on}: ${plain(r.amount ?? 0)} outings since its last test.`,
  DUE_BY_EXPOSURE: (r) =>
    `To be tested since ${r.on}: wet, frozen or trodden on ${plain(r.amount ?? 0)} times since its last test.`,
  DUE_BY_TREND: (r) =>
    `To be tested since ${r.on}: it loses ${fixed(r.amount ?? 0, 0)} % of its sheet more each year.`,
  BETTER_THAN_ITS_AGE: (r) =>
    `Better than its age: ${plain(r.amount ?? 0)} years, and still as its sheet.`,
};

export function standingReason(reason: Reason): string {
  return REASONS[reason.code](reason);
}

/** How it ages, or why nobody can say. */
export function trendSentence(piece: Piece): string {
  const { trend } = piece;
  if (!trend) {
    return piece.lastTestedOn === null
      ? 'Nothing is known of how it ages.'
      : 'Too few tests to tell how it ages: three are needed, over sixty days or more.';
  }
  const slope = `${trend.percentPerYear < 0 ? '−' : ''}${fixed(Math.abs(trend.percentPerYear), 1)} % of its sheet a year`;
  if (trend.least === null || trend.most === null) {
    return `It changes by ${slope}; with fewer than five tests nobody can say how surely.`;
  }
  return `It changes by ${slope}, surely between ${fixed(trend.least, 1)} and ${fixed(trend.most, 1)} %.`;
}

/** When it wants a test, in a clause. */
export function testAgainText(piece: Piece): string | null {
  return piece.testAgainOn === null ? null : `test again by ${piece.testAgainOn}`;
}

const EVENTS: Record<PieceEvent['kind'], (e: PieceEvent, lengths: LengthUnit) => string> = {
  BOUGHT: () => 'bought',
  ENTERED: () => 'put into the locker',
  OUTING: (e) =>
    `out${e.to ? `, ${e.to}` : ''}${e.until === null ? ', and still is' : e.until === e.on ? '' : `, till ${e.until}`}${bore(e)}`,
  TEST: (e) =>
    `tested${e.lossDb === null ? '' : `: ${fixed(e.lossDb, 2)} dB`}${e.percentOfSheet === null ? '' : `, ${fixed(e.percentOfSheet, 0)} % of its sheet`}`,
  REPAIR: (e) => `mended${noteText(e)}`,
  NEW_END: (e, lengths) =>
    `new end: ${lengthText(e.lengthBeforeM ?? 0, lengths)} became ${lengthText(e.lengthAfterM ?? 0, lengths)}${noteText(e)}`,
  RETIRED: (e) => `retired${noteText(e)}`,
  BACK_IN_SERVICE: (e) => `used again${noteText(e)}`,
};

function noteText(event: PieceEvent): string {
  return event.note ? `: ${event.note}` : '';
}

function bore(event: PieceEvent): string {
  const words = [
    event.wet ? 'wet' : '',
    event.frozen ? 'frozen' : '',
    event.trodden ? 'trodden on' : '',
  ].filter(Boolean);
  return words.length > 0 ? `; ${words.join(', ')}` : '';
}

export function eventText(event: PieceEvent, lengths: LengthUnit): string {
  const text = EVENTS[event.kind](event, lengths);
  return event.by ? `${text} (${event.by})` : text;
}

/** Since when a piece is out, where, and who has it. */
export function outText(piece: Pick<Piece, 'outSince' | 'outTo' | 'outBy'>): string {
  // who has it stands before what a narrow row cuts off
  const out = piece.outBy ? `out with ${piece.outBy}` : 'out';
  return [`${out} since ${piece.outSince}`, piece.outTo].filter(Boolean).join(', ');
}

const GENDERS: Record<PieceEnd['gender'], string> = { PLUG: 'plug', SOCKET: 'socket' };

export function endText(end: PieceEnd | null, nameOf: (key: string) => string): string {
  return end === null ? 'not known' : `${nameOf(end.connectorKey)} ${GENDERS[end.gender]}`;
}

const BEST_IN: Record<FoundKit['bestIn'][number], string> = {
  LEAST_LOSS: 'least loss',
  FEWEST_JOINTS: 'fewest joints',
  LEAST_MASS: 'lightest',
  LEAST_LEFT_OVER: 'least left over',
};

/** What a kit is best in, and whether that is sure. */
export function bestInText(kit: FoundKit): string {
  const all = Object.keys(BEST_IN).length;
  const text =
    kit.bestIn.length === all ? 'best in everything' : kit.bestIn.map((b) => BEST_IN[b]).join(', ');
  return kit.provenIn.length === kit.bestIn.length ? text : `${text}, as far as was found`;
}

const LEFT_OUT: Record<FoundKits['leftOut'][number]['why'], string> = {
  ASKED: 'left out by you',
  RETIRED: 'retired',
  OUT: 'out',
  FAILING: 'failing',
  ENDS_UNKNOWN: 'ends not known',
  LOSS_UNKNOWN: 'loss not known',
  OTHER_LINE: 'of another impedance',
};

/** How many pieces could not be used, by the reason. */
export function leftOutText(found: FoundKits): string | null {
  const counts = new Map<string, number>();
  found.leftOut.forEach((l) => counts.set(LEFT_OUT[l.why], (counts.get(LEFT_OUT[l.why]) ?? 0) + 1));
  return counts.size === 0
    ? null
    : `Not used: ${[...counts].map(([why, count]) => `${count} ${why}`).join(', ')}.`;
}
