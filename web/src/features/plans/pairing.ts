import type { BandAssessment } from '../../api';

/** One band of two plans; null where a plan does not have it. */
export interface Pair {
  name: string;
  a: BandAssessment | null;
  b: BandAssessment | null;
}

/** Two frequencies this near to each other are one band. */
const SAME_BAND = 1.06;

/** The bands of two plans, those of the first in their order, then what only the second has. */
export function paired(a: BandAssessment[], b: BandAssessment[]): Pair[] {
  const left = [...b];
  const pairs = a.map((one): Pair => {
    const index = left.findIndex((other) => isSame(one.frequencyMHz, other.frequencyMHz));
    const other = index < 0 ? null : (left.splice(index, 1)[0] ?? null);
    return { name: nameOf(one), a: one, b: other };
  });
  return [...pairs, ...left.map((other) => ({ name: nameOf(other), a: null, b: other }))];
}

function isSame(f: number, g: number): boolean {
  return Math.max(f, g) <= SAME_BAND * Math.min(f, g);
}

function nameOf(band: BandAssessment): string {
  return band.name || `${band.frequencyMHz} MHz`;
}
