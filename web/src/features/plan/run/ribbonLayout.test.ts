import { describe, expect, it } from 'vitest';
import type { BandAssessment } from '../../../api';
import type { Element } from '../document/model';
import {
  levelsOfLosses,
  LEAST_WIDTH,
  boundaryLevels,
  fallAlong,
  indexAt,
  isCompressed,
  placeAt,
  pxPerMetre,
  receivedLevels,
  slotsOf,
  stretched,
  thicknesses,
  ticks,
  trueScale,
  sizedOn,
} from './ribbonLayout';

const joint: Element = { kind: 'JOINT', lossDb: 0.1 };
const line = (lengthM: number): Element => ({ kind: 'LINE', cableKey: 'rg-58', lengthM });

function assessment(over: Partial<BandAssessment>): BandAssessment {
  return {
    id: null,
    name: null,
    frequencyMHz: 145,
    matchedLossDb: 3,
    freeSpaceRange: 0.63,
    mismatchLossDb: 0,
    runLossDb: 3,
    matchingLossDb: 0,
    reflectionLossDb: 1,
    foldbackDb: 0,
    totalLossDb: 4,
    powerAtAntennaW: null,
    efficiencyRange: null,
    swrAtRadio: 1,
    swrAtAntenna: 1,
    inputImpedance: null,
    receivePenaltyDb: 0,
    near: null,
    elements: [
      { id: null, lossDb: 1, matchedLossDb: 1, powerInW: null, powerOutW: null, aside: null },
      { id: null, lossDb: 2, matchedLossDb: 2, powerInW: null, powerOutW: null, aside: null },
    ],
    notes: [],
    ...over,
  };
}

describe('slots', () => {
  it('give every element its least width and share the rest by length', () => {
    const slots = slotsOf([joint, line(10), line(30), joint], 592);
    expect(slots.map((s) => s.width)).toEqual([48, 148, 348, 48]);
    expect(slots.map((s) => s.x)).toEqual([0, 48, 196, 544]);
  });

  it('stay wide enough when there is no room, and for a run without length', () => {
    expect(slotsOf([joint, line(10), joint], 60).map((s) => s.width)).toEqual([48, 48, 48]);
    expect(slotsOf([line(0), line(0)], 400).every((s) => s.width === LEAST_WIDTH)).toBe(true);
  });
});

describe('levels', () => {
  it('begin with what enters the run and go down element by element', () => {
    const levels = boundaryLevels(assessment({}), null);
    expect(levels.map((l) => l.lossDb)).toEqual([1, 2, 4]);
  });

  it('take watts as they come from the core', () => {
    const elements = [
      { id: null, lossDb: 1, matchedLossDb: 1, powerInW: 80, powerOutW: 50, aside: null },
      { id: null, lossDb: 2, matchedLossDb: 2, powerInW: 50, powerOutW: 10, aside: null },
    ];
    const levels = boundaryLevels(assessment({ elements }), 100);
    expect(levels.map((l) => l.watts)).toEqual([80, 50, 10]);
    expect(levels[2]?.lossDb).toBeCloseTo(10, 9);
  });
});

describe('a signal on its way to a receiver', () => {
  it('is whole at the antenna and least at the receiver', () => {
    const levels = receivedLevels(assessment({}));
    expect(levels.map((l) => l.lossDb)).toEqual([3, 2, 0]);
    const drawn = thicknesses(levels, 80);
    expect(drawn[2]).toBe(80);
    expect(drawn[0]).toBeCloseTo(80 * 10 ** -0.3, 6);
  });
});

describe('thickness', () => {
  const level = (lossDb: number) => ({ lossDb, watts: null });

  it('is the power', () => {
    expect(thicknesses([level(0), level(10 * Math.log10(2))], 80)[1]).toBeCloseTo(40, 6);
  });

  it('is the power at every point, however many elements lose a little', () => {
    const many = Array.from({ length: 15 }, (_, i) => level((i * 0.482) / 14));
    const drawn = thicknesses(many, 84);
    expect(drawn.at(-1)).toBeCloseTo(84 * 0.895, 1);
    expect(thicknesses([level(0), level(60)], 84)[1]).toBe(1);
    expect(thicknesses([level(0), level(0)], 84)).toEqual([84, 84]);
  });

  it('has a tick for a loss that is too small to be seen, and for no other', () => {
    expect(ticks([level(0), level(0.001), level(0.001), level(3)], 84)).toEqual([0]);
    expect(ticks([level(3), level(0.002), level(0)], 84)).toEqual([1]);
    expect(ticks([level(0), level(0)], 84)).toEqual([]);
  });

  it('falls by the same share every metre', () => {
    const points = fallAlong({ x: 0, width: 24 }, 80, 20);
    expect(points[12]?.[1]).toBeCloseTo(20, 9);
    expect(points.at(-1)).toEqual([24, 10]);
  });
});

describe('the drawing of a long run', () => {
  const run = [{ kind: 'LINE', lengthM: 2 }, { kind: 'JOINT' }, { kind: 'LINE', lengthM: 98 }];
  const slots = slotsOf(run, 48 * 3 + 200);

  it('breaks the line that is drawn much shorter than its neighbours', () => {
    expect(isCompressed(run, slots)).toEqual([false, false, true]);
    expect(isCompressed([{ kind: 'LINE', lengthM: 5 }], slots)).toEqual([false]);
  });

  it('has the lines at true scale beneath', () => {
    expect(trueScale(run)).toEqual([[0, 0.02], null, [0.02, 1]]);
    expect(trueScale([{ kind: 'LINE', lengthM: 0 }])).toEqual([null]);
  });

  it('stands still while one line is drawn longer, and the rest moves along', () => {
    const longer = stretched(slots, 0, 30);
    expect(longer[0]?.width).toBe((slots[0]?.width ?? 0) + 30);
    expect(longer[1]?.x).toBe((slots[1]?.x ?? 0) + 30);
    expect(stretched(slots, 0, -999)[0]?.width).toBe(48);
    expect(pxPerMetre(run, slots)).toBeCloseTo(2, 9);
  });

  it('tells where a carried element would stand', () => {
    expect(indexAt(slots, 0, 10)).toBe(0);
    expect(indexAt(slots, 0, (slots[1]?.x ?? 0) + 40)).toBe(1);
    expect(indexAt(slots, 0, 5000)).toBe(2);
    expect(indexAt(slots, 2, 0)).toBe(0);
  });

  it('tells the place that is pointed at', () => {
    const last = slots[2] ?? { x: 0, width: 0 };
    expect(placeAt(run, slots, last.x + last.width / 2)).toEqual({ element: 2, fromRadioM: 51 });
    expect(placeAt(run, slots, (slots[1]?.x ?? 0) + 5)).toEqual({ element: 1, fromRadioM: 2 });
    expect(placeAt([], [], 5)).toBeNull();
  });
});

describe('a run that forks', () => {
  const run: Element[] = [
    { kind: 'LINE', lengthM: 20 },
    { kind: 'FORK', ports: [{ branch: 'a' }, { branch: 'b' }] },
    { kind: 'LINE', lengthM: 5, branch: 'a' },
    { kind: 'LINE', lengthM: 10, branch: 'b' },
  ];

  it('is drawn on the way of the band: what stands in another branch takes no room', () => {
    const sized = sizedOn(run, { branch: 'b' });
    const slots = slotsOf(sized, 500);
    expect(slots[2]?.width).toBe(0);
    expect(slots[3]?.x).toBe((slots[1]?.x ?? 0) + (slots[1]?.width ?? 0));
    const end = (slots[3]?.x ?? 0) + (slots[3]?.width ?? 0);
    expect(end).toBeCloseTo(500, 6);
    expect(trueScale(sized)[2]).toBeNull();
    expect(placeAt(sized, slots, 499)?.fromRadioM).toBeCloseTo(30, 0);
  });
});

describe('levels of a run of which only losses are known', () => {
  it('fall from the radio for what is sent, and from the antenna for what is received', () => {
    const losses = [0.1, 6, 0.5];
    expect(levelsOfLosses(losses, 1, true).map((l) => l.lossDb)).toEqual([1, 1.1, 7.1, 7.6]);
    const received = levelsOfLosses(losses, 1, false).map((l) => Number(l.lossDb.toFixed(9)));
    // half a dB is lost next to the antenna, and all of it at the receiver
    expect(received).toEqual([6.6, 6.5, 0.5, 0]);
  });

  it('are those of the assessment', () => {
    const figures = assessment({});
    const losses = figures.elements.map((e) => e.lossDb);
    expect(levelsOfLosses(losses, 0, false)).toEqual(receivedLevels(figures));
  });
});
