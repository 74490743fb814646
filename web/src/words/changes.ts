/** Sentences about what would change the answer, what it is worth, and how sure it is. */

import type { Changes, ValueSteps, Ledger, Row } from '../api';
import { fixed, frequencyText, lengthText, moneyFigure, powerText, tied } from '../units';
import type { LengthUnit } from '../units';
import { askedPhrase, askedText, reasonText } from './asked';

/** What to ask less of, so that a first cable gets through. */
export function relaxationSentence(way: Ledger['relaxations'][number], currency: string): string {
  const parts = way.eased.map((e) =>
    e.to === null || e.asked === null
      ? `give up “${askedPhrase(e.kind, null)}”`
      : `ask for ${askedText(e.kind, loosened(e.to, e.to < e.asked), currency)} instead of ${askedText(e.kind, e.asked, currency)}`,
  );
  const [first, ...rest] = parts;
  return tied(
    `${first?.charAt(0).toUpperCase()}${[first?.slice(1), ...rest].join(' and ')}, and ${way.name} gets through.`,
  );
}

/** A number on the safe side of what would just do, with three digits: what is told must really be enough. */
export function loosened(value: number, isDown: boolean): number {
  const step = 10 ** (Math.floor(Math.log10(Math.max(Math.abs(value), 1e-9))) - 2);
  const rounded = (isDown ? Math.floor(value / step) : Math.ceil(value / step)) * step;
  return Number(rounded.toPrecision(3));
}

/** How far what arrives may be off, given what cables may be off; the percent stands between, and is changed there. */
export const certainty = {
  before: (provenance: string) => `How sure: its figures are ${provenance} and may be`,
  after: (least: string, most: string, band: string) =>
    tied(`off; so ${least} to ${most} on ${band}.`),
};

/** What the next cheaper cable lacks, and what would let it do. */
export function cheaperSentence(
  changes: Changes,
  row: Row,
  bands: string[],
  lengths: LengthUnit,
): string | null {
  const { nextCheaper: cheaper, shortening } = changes;
  if (!cheaper?.cost || !row.cost) return null;
  const saves = `${moneyFigure(row.cost.amount - cheaper.cost.amount)} ${cheaper.cost.currency} less`;
  const first = cheaper.reasons.find((r) => r.verdict === 'FAIL');
  if (!first) return tied(`${cheaper.name} costs ${saves} and gets through too.`);
  const clause = reasonText(first, bands[first.band ?? -1] ?? '');
  const short = shortening
    ? ` With no more than ${lengthText(Math.floor(shortening.toM * 10) / 10, lengths)} it would do.`
    : '';
  return tied(`${cheaper.name} costs ${saves}: ${clause}.${short}`);
}

/** What the step up brings, and what else would bring as much. */
export function stepUpSentence(
  changes: Changes,
  row: Row,
  focus: number,
  band: string,
): string | null {
  const up = changes.stepUp;
  if (!up?.row.cost || !row.cost) return null;
  const costs = up.row.cost.amount - row.cost.amount;
  const now = row.cells[focus]?.powerAtAntennaW ?? null;
  const then = up.row.cells[focus]?.powerAtAntennaW ?? null;
  const watts = now === null || then === null ? '' : `${powerText(then - now)} more, `;
  const receive =
    up.onReceiveDb === null
      ? ''
      : up.onReceiveDb < 0.05
        ? '; on receive it brings next to nothing'
        : `; on receive ${fixed(up.onReceiveDb, 1)} dB`;
  return tied(
    `${up.row.name} brings ${watts}${fixed(up.onTransmitDb, 2)} dB, on ${band} for ${moneyFigure(costs)} ${up.row.cost.currency} more: ${moneyFigure(costs / up.onTransmitDb)} ${up.row.cost.currency} per dB${receive}.`,
  );
}

/** The same money, or less of it, put into antenna or power. */
export function insteadSentence(
  changes: Changes,
  radioW: number | null,
  costs: { gainCostPerDb: number; powerCostPerDb: number },
): string | null {
  const up = changes.stepUp;
  if (!up?.row.cost) return null;
  const { currency } = up.row.cost;
  const db = `${fixed(up.onTransmitDb, 2)} dB`;
  const gain = `As much from the antenna is ${db} of gain, ${radioW === null ? '' : 'on transmit and '}on receive, about ${moneyFigure(up.onTransmitDb * costs.gainCostPerDb)} ${currency}`;
  const power =
    up.powerInsteadW === null || radioW === null
      ? ''
      : `; from power it is ${powerText(up.powerInsteadW)} instead of ${powerText(radioW)}, about ${moneyFigure(up.onTransmitDb * costs.powerCostPerDb)} ${currency}, and does nothing for reception`;
  return tied(`${gain}${power}.`);
}

/** How much further, and how much higher, the cable would still do. */
export function farthestSentence(
  changes: Changes,
  name: string,
  bands: string[],
  lengths: LengthUnit,
): string | null {
  const { farthest, highest } = changes;
  if (!farthest) return null;
  const length =
    farthest.kind === 'BEYOND'
      ? `over ${lengthText(farthest.lengthM, lengths)}`
      : `up to ${lengthText(Math.floor(farthest.lengthM * 10) / 10, lengths)}`;
  const by =
    farthest.kind === 'BEYOND'
      ? ''
      : farthest.band === null
        ? ', then cost or mass say no'
        : `, then ${bands[farthest.band] ?? ''} fails`;
  const high =
    highest === null
      ? ''
      : `; and on frequencies up to ${frequencyText(Number(highest.frequencyMHz.toPrecision(3)))}${highest.endOfSheet ? ', where what is known of it ends' : ''}`;
  return tied(`${name} does ${length}${by}${high}.`);
}

/** What moving the matching unit would do. */
export function matchingMovedSentence(
  changes: Changes,
  row: Row,
  focus: number,
  band: string,
): string | null {
  const moved = changes.matchingMoved;
  const before = row.cells[focus]?.totalLossDb ?? null;
  const after = moved?.row.cells[focus]?.totalLossDb ?? null;
  if (!moved || before === null || after === null) return null;
  const where = moved.to === 'AT_ANTENNA' ? 'at the antenna' : 'at the radio';
  const gained = before - after;
  const here =
    Math.abs(gained) < 0.05
      ? `nothing changes on ${band}`
      : `${row.name} loses ${fixed(Math.abs(gained), 1)} dB ${gained > 0 ? 'less' : 'more'} on ${band}`;
  const cheaper = moved.first?.cost && row.cost && moved.first.cost.amount < row.cost.amount;
  const first = cheaper && moved.first ? `, and ${moved.first.name} would do` : '';
  return tied(`With the matching unit ${where} ${here}${first}.`);
}

/** Where the ladder of value stops paying. */
export function kneeSentence(
  ladder: ValueSteps,
  worthPerDb: number,
  band: string,
  rows: readonly Pick<Row, 'id' | 'verdict'>[],
): string {
  const step = ladder.steps[ladder.knee];
  const point = ladder.points.find((p) => p.rowId === step?.rowId);
  const next = ladder.steps[ladder.knee + 1];
  if (!step || !point) return 'No cable of known price stands here.';
  const fails = rows.find((r) => r.id === point.rowId)?.verdict === 'FAIL';
  const after =
    next?.costPerDb == null
      ? 'Nothing loses less.'
      : `The next step costs ${moneyFigure(next.costPerDb)} ${ladder.currency ?? ''} per dB.`;
  return tied(
    `At ${moneyFigure(worthPerDb)} ${ladder.currency ?? ''} for a dB on ${band} it pays to go as far as ${point.name}${fails ? ', which fails what is asked' : ''}. ${after}`,
  );
}

/** What a choice was made on, and what is so now. */
export function driftSentence(then: string[], now: string[]): string {
  return tied(`Chosen on old figures: then ${then.join(', ')}; now ${now.join(', ')}.`);
}
