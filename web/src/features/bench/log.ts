import type { BenchSummary } from '../../api';

/** Every frequency that any of some tests has a loss at, rising. */
export function frequenciesOf(tests: readonly BenchSummary[]): number[] {
  return [...new Set(tests.flatMap((t) => t.figures.map((f) => f.frequencyMHz)))].sort(
    (a, b) => a - b,
  );
}

/** What a test is called where several stand side by side. */
export function labelOf(test: BenchSummary): string {
  return `${test.piece ?? test.cableName ?? 'a cable'}, ${test.testedOn ?? '?'}`;
}
