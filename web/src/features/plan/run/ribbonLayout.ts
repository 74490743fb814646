import type { BandAssessment } from '../../../api';
import { isAside } from '../document/branches';
import type { Band, Element } from '../document/model';
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

/** What stands in another branch takes no room on the way of a band. */
const ASIDE = 'ASIDE';

/** A run as it is drawn for a band. */
export function sizedOn(run: readonly Element[], band: Band | undefined): Sized[] {
  return run.map((e) => (isAside(e, band) ? { kind: ASIDE } : (e as Sized)));
}

/** No element is narrower: it must be hit with a finger and read. */
export const LEAST_WIDTH = 48;

/** A step of thickness below this is not seen; what is left is drawn with at least a pixel, px. */
const LEAST_STEP = 2;
const LEAST_COPPER = 1;

/** Points in which the fall along a line is drawn. */
const CURVE_STEPS = 24;

/** Every element gets its least width, the lines share the rest by their length. */
export function slotsOf(run: Sized[], width: number, least = LEAST_WIDTH): Slot[] {
  const lengths = run.map((e) => (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0));
  const whole = lengths.reduce((a, b) => a + b, 0);
  const here = run.filter((e) => e.kind !== ASIDE).length;
  const spare = Math.max(0, width - least * here);
  let x = 0;
  return lengths.map((length, i) => {
    const own = run[i]?.kind === ASIDE ? 0 : least;
    const slot = { x, width: own + (whole > 0 ? (spare * length) / whole : 0) };
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

/**
 * The same of a run of which only its losses are known, element by element: what is left at every boundary on the way of the
 * power, or of a signal that comes from the antenna.
 */
export function levelsOfLosses(lossesDb: number[], beforeRunDb: number, sends: boolean): Level[] {
  const upTo = [0];
  for (const lossDb of lossesDb) upTo.push((upTo.at(-1) ?? 0) + lossDb);
  const wholeDb = upTo.at(-1) ?? 0;
  return upTo.map((lossDb) => ({
    lossDb: sends ? beforeRunDb + lossDb : Math.max(0, wholeDb - lossDb),
    watts: null,
  }));
}

function lossOr(lossDb: number, radioW: number | null, watts: number | null): number {
  return radioW === null || watts === null ? lossDb : lossBetween(radioW, watts);
}

/** Sent power goes from the radio to the antenna, a received signal the other way. */
export function levelsOf(assessment: BandAssessment, radioW: number | null): Level[] {
  return radioW === null ? receivedLevels(assessment) : boundaryLevels(assessment, radioW);
}

/** Thickness at every boundary, which is the power there, for a full thickness that stands for the radio's, px. */
export function thicknesses(levels: Level[], full: number): number[] {
  return levels.map((level) => Math.max(LEAST_COPPER, full * fractionLeft(level.lossDb)));
}

/** Elements that lose something, and too little for a step of thickness that could be seen: a tick stands for it. */
export function ticks(levels: Level[], full: number): number[] {
  const drawn = thicknesses(levels, full);
  return levels.slice(1).flatMap((level, i) => {
    const loses = Math.abs(level.lossDb - (levels[i]?.lossDb ?? 0)) > 1e-9;
    return loses && Math.abs((drawn[i + 1] ?? 0) - (drawn[i] ?? 0)) < LEAST_STEP ? [i] : [];
  });
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

/** A line drawn at less than this share of the scale of the least compressed one carries a break mark. */
const COMPRESSED = 0.5;

/** Which lines are drawn so much shorter than others that a break mark must say so. */
export function isCompressed(run: Sized[], slots: Slot[]): boolean[] {
  const scales = run.map((e, i) =>
    e.kind === 'LINE' && e.lengthM ? (slots[i]?.width ?? 0) / e.lengthM : 0,
  );
  const largest = Math.max(0, ...scales);
  return scales.map((scale) => scale > 0 && scale < COMPRESSED * largest);
}

/** Where the lines lie at true scale, as shares of the whole length: [from, to] for each line, null for the rest. */
export function trueScale(run: Sized[]): ([number, number] | null)[] {
  const lengths = run.map((e) => (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0));
  const whole = lengths.reduce((a, b) => a + b, 0);
  let from = 0;
  return run.map((e, i) => {
    if (e.kind !== 'LINE' || whole === 0) return null;
    const share = (lengths[i] ?? 0) / whole;
    const span: [number, number] = [from, from + share];
    from += share;
    return span;
  });
}

/** The slots while a hand draws one line longer: the scale stands still, and what follows moves along. */
export function stretched(slots: Slot[], index: number, byPx: number): Slot[] {
  return slots.map((slot, i) => {
    if (i < index) return slot;
    if (i === index) return { ...slot, width: Math.max(LEAST_WIDTH, slot.width + byPx) };
    const moved = Math.max(LEAST_WIDTH, (slots[index]?.width ?? 0) + byPx);
    return { ...slot, x: slot.x + moved - (slots[index]?.width ?? 0) };
  });
}

/** Pixels for a metre of line beyond its least width. */
export function pxPerMetre(run: Sized[], slots: Slot[], least = LEAST_WIDTH): number {
  const whole = run.reduce((sum, e) => sum + (e.kind === 'LINE' ? (e.lengthM ?? 0) : 0), 0);
  const spare = slots.reduce((sum, s) => sum + Math.max(0, s.width - least), 0);
  return whole > 0 && spare > 0 ? spare / whole : 1;
}

/** Where an element that is carried to a place along the drawing would stand in the list. */
export function indexAt(slots: Slot[], carried: number, x: number): number {
  const others = slots.filter((_, i) => i !== carried);
  return others.filter((s) => x > s.x + s.width / 2).length;
}

/** A place on the run, from one on the drawing. */
export interface Place {
  element: number;
  /** Metres along the run, from the radio. */
  fromRadioM: number;
}

export function placeAt(run: Sized[], slots: Slot[], x: number): Place | null {
  let fromRadioM = 0;
  for (const [i, slot] of slots.entries()) {
    const lengthM = run[i]?.kind === 'LINE' ? (run[i].lengthM ?? 0) : 0;
    if (x <= slot.x + slot.width || i === slots.length - 1) {
      const way = Math.max(0, Math.min(1, (x - slot.x) / slot.width));
      return { element: i, fromRadioM: fromRadioM + way * lengthM };
    }
    fromRadioM += lengthM;
  }
  return null;
}
