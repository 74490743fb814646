import type { BenchFigure, BenchSummary } from '../../api';
import { csvText } from '../../ui';
import { fractionLeft, METRES_PER_FOOT } from '../../units';
import { labelOf } from './log';

/** How losses are laid side by side. */
export const READINGS = ['per 100 m', 'per 100 ft', 'as measured', 'percent', 'times'] as const;

export type Reading = (typeof READINGS)[number];

/** A loss as it is to be read; null where that cannot be said of it. */
export function readAs(
  reading: Reading,
  lossDb: number | null,
  figure: Pick<BenchFigure, 'per100mDb' | 'lossDb' | 'expectedDb'>,
): number | null {
  if (lossDb === null) return null;
  // of the same piece, so every loss of it is as long
  const per100m = figure.per100mDb === null ? null : (lossDb * figure.per100mDb) / figure.lossDb;
  switch (reading) {
    case 'per 100 m':
      return per100m;
    case 'per 100 ft':
      return per100m === null ? null : per100m * METRES_PER_FOOT;
    case 'as measured':
      return lossDb;
    case 'percent':
      return 100 * fractionLeft(lossDb);
    case 'times':
      return figure.expectedDb === null ? null : lossDb / figure.expectedDb;
  }
}

/** Its types' sheets, each once, as the tests of it were held against them. */
export function sheetsOf(tests: readonly BenchSummary[]): { name: string; test: BenchSummary }[] {
  return tests
    .filter(
      (t, i) =>
        t.cableName !== null && tests.findIndex((other) => other.cableKey === t.cableKey) === i,
    )
    .map((test) => ({ name: `${test.cableName}, its sheet`, test }));
}

/** The table that is shown, in dB and percent with points as decimal marks. */
export function comparedCsv(
  tests: readonly BenchSummary[],
  frequencies: readonly number[],
  reading: Reading,
): string {
  return csvText([
    ['MHz', ...tests.map((t) => `${labelOf(t)}, ${reading}`)],
    ...frequencies.map((f) => [
      String(f),
      ...tests.map((t) => {
        const figure = t.figures.find((x) => x.frequencyMHz === f);
        const value = figure ? readAs(reading, figure.lossDb, figure) : null;
        return value === null ? '' : String(value);
      }),
    ]),
  ]);
}
