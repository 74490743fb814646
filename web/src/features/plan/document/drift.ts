import type { Row } from '../../../api';
import { levelText, moneyFigure, shownReading } from '../../../units';
import type { Reading } from '../../../units';
import { driftSentence, words } from '../../../words';
import type { Plan } from './model';
import { bandName, bandsOf, powerOn } from './model';

/** Less than this in dB is no other figure. */
const NOTEWORTHY_DB = 0.005;

const NOTEWORTHY_MONEY = 0.005;

/** More bands than this would be a table, not a line. */
const MOST_TOLD = 3;

/** The figures of the day of a decision, in a line: what arrived on its bands, and what it cost. */
export function figuresOfThatDay(then: Row, plan: Plan, reading: Reading): string {
  const bands = bandsOf(plan).flatMap((band) => {
    const cell = then.cells.find((c) => c.bandId !== undefined && c.bandId === band.id);
    if (!cell || cell.totalLossDb === null) return [];
    const level = { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW };
    const shown = level.watts === null ? shownReading(reading, false) : reading;
    return [`${levelText(level, shown)} on ${bandName(band)}`];
  });
  return [...bands.slice(0, MOST_TOLD), moneyOf(then)].join(', ');
}

/** What a decision rests on that is so no more, in a sentence; null where its figures still stand. */
export function driftOf(
  then: Row,
  now: Row | undefined,
  plan: Plan,
  reading: Reading,
): string | null {
  if (!now) return 'Chosen on old figures: the cable is no longer offered.';
  const old: string[] = [];
  const fresh: string[] = [];
  bandsOf(plan).forEach((band, i) => {
    const before = then.cells.find((c) => c.bandId !== undefined && c.bandId === band.id);
    const after = now.cells[i];
    const lost = [before?.totalLossDb ?? null, after?.totalLossDb ?? null] as const;
    if (lost[0] === null || lost[1] === null || Math.abs(lost[0] - lost[1]) < NOTEWORTHY_DB) return;
    const shown = shownReading(reading, powerOn(plan, band) !== null);
    const tell = (lossDb: number, watts: number | null | undefined) =>
      levelText({ lossDb, watts: watts ?? null }, watts == null ? 'dB' : shown);
    old.push(`${tell(lost[0], before?.powerAtAntennaW)} on ${bandName(band)}`);
    fresh.push(`${tell(lost[1], after?.powerAtAntennaW)} on ${bandName(band)}`);
  });
  if (isOtherMoney(then, now)) {
    old.push(moneyOf(then));
    fresh.push(moneyOf(now));
  }
  if (then.verdict !== now.verdict) {
    old.push(`it ${words.wasJudged[then.verdict]}`);
    fresh.push(`it ${words.judged[now.verdict]}`);
  }
  return old.length === 0 ? null : driftSentence(old, fresh);
}

function isOtherMoney(then: Row, now: Row): boolean {
  if (!then.cost || !now.cost) return (then.cost === null) !== (now.cost === null);
  return (
    then.cost.currency !== now.cost.currency ||
    Math.abs(then.cost.amount - now.cost.amount) > NOTEWORTHY_MONEY
  );
}

function moneyOf(row: Row): string {
  return row.cost ? `${moneyFigure(row.cost.amount)} ${row.cost.currency}` : 'no price';
}
