import type { BenchSummary } from '../../api';

/** Whether a test has all that was typed in its piece, type or day, and is of the way and verdict asked for. */
export function isFound(
  test: BenchSummary,
  search: string,
  asked: { method: string; outcome: string; all: string },
): boolean {
  const text = [test.piece, test.cableName, test.cableKey, test.testedOn]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
  return (
    search
      .toLowerCase()
      .split(/\s+/)
      .every((word) => text.includes(word)) &&
    (asked.method === asked.all || test.method === asked.method) &&
    (asked.outcome === asked.all || test.outcome === asked.outcome)
  );
}

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
