import type { BandAssessment } from '../../../api';
import type { Level } from '../../../units';
import { fractionLeft, lossBetween } from '../../../units';

/** Where an element is drawn, px from the left edge of the run. */
export interface Slot {
  x: number;
  width: number;
}

/** What takes its place in the drawing by its length, if it has one. */
export interface Sized {
  kind: string;
  lengthM?: number;
}

/** No element is narrower: it must be hit with a finger and read. */
export const LEAST_WIDTH = 48;

/** A loss is drawn with at least this, and what is left with at least a pixel, px. */
const LEAST_LOSS = 2;
const LEAST_COPPER = 1;

/** Points in which the fall along a line is drawn. */
const CURVE_STEPS = 24;

/** Every element gets its least width, the lines share the rest by their length. */
export function slotsOf(run: Sized[], width: number, least = LEAST_WIDTH): Slot[] {
  const lengths = run.map((e) => (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0));
  const whole = lengths.reduce((a, b) => a + b, 0);
  const spare = Math.max(0, width - least * run.length);
  let x = 0;
  return lengths.map((length) => {
    const slot = { x, width: least + (whole > 0 ? (spare * length) / whole : 0) };
    x += slot.width;
    return slot;
  });
}

/**
 * Power at every boundary, radio end first: what enters the run, then what each element leaves. Watts come from the
 * core; their loss is against what the radio makes. A receiver has losses alone.
 */
export function boundaryLevels(a: BandAssessment, radioW: number | null): Level[] {
  const beforeRunDb = a.totalLossDb - a.runLossDb;
  const [first] = a.elements;
  const enteringW = first?.powerInW ?? null;
  const levels: Level[] = [{ lossDb: lossOr(beforeRunDb, radioW, enteringW), watts: enteringW }];
  let runDb = beforeRunDb;
  for (const element of a.elements) {
    runDb += element.lossDb;
    levels.push({ lossDb: lossOr(runDb, radioW, element.powerOutW), watts: element.powerOutW });
  }
  return levels;
}

/**
 * The same for a signal on its way from the antenna to a receiver: at every boundary what it has lost by then, the
 * receiver's end first. A chain loses the same both ways.
 */
export function receivedLevels(a: BandAssessment): Level[] {
  return boundaryLevels(a, null).map((level) => ({
    lossDb: Math.max(0, a.runLossDb - (level.lossDb - (a.totalLossDb - a.runLossDb))),
    watts: null,
  }));
}

function lossOr(lossDb: number, radioW: number | null, watts: number | null): number {
  return radioW === null || watts === null ? lossDb : lossBetween(radioW, watts);
}

/** Thickness at every boundary for a full thickness that stands for the radio's power, px. */
export function thicknesses(levels: Level[], full: number): number[] {
  const rising = (levels[0]?.lossDb ?? 0) > (levels.at(-1)?.lossDb ?? 0);
  return rising ? falling(levels.toReversed(), full).toReversed() : falling(levels, full);
}

function falling(levels: Level[], full: number): number[] {
  const drawn: number[] = [];
  levels.forEach((level, i) => {
    const true_ = Math.max(LEAST_COPPER, full * fractionLeft(level.lossDb));
    const before = drawn[i - 1];
    const most = before === undefined ? full : before - (loses(levels, i) ? LEAST_LOSS : 0);
    drawn.push(Math.max(LEAST_COPPER, Math.min(true_, most)));
  });
  return drawn;
}

function loses(levels: Level[], i: number): boolean {
  return (levels[i]?.lossDb ?? 0) - (levels[i - 1]?.lossDb ?? 0) > 1e-9;
}

/**
 * Half-thickness along an element, as points (x, half): between its ends power falls by the same share every metre, which
 * is how a line loses it.
 */
export function fallAlong(slot: Slot, from: number, to: number): [number, number][] {
  return Array.from({ length: CURVE_STEPS + 1 }, (_, i) => {
    const way = i / CURVE_STEPS;
    return [slot.x + slot.width * way, (from * (to / from) ** way) / 2];
  });
}

/** The outline of the copper, clockwise from its upper radio end, as an SVG path around a middle line. */
export function ribbonPath(slots: Slot[], thickness: number[], middle: number): string {
  const upper = slots.flatMap((slot, i) =>
    fallAlong(slot, thickness[i] ?? LEAST_COPPER, thickness[i + 1] ?? LEAST_COPPER),
  );
  const point = ([x, y]: [number, number]) => `${x.toFixed(1)} ${y.toFixed(1)}`;
  const above = upper.map(([x, half]): [number, number] => [x, middle - half]);
  const below = upper.toReversed().map(([x, half]): [number, number] => [x, middle + half]);
  return `M${[...above, ...below].map(point).join('L')}Z`;
}
