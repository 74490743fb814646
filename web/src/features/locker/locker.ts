import type { PieceEvent } from '../../api';

/** A life of a day would be no line: 30 days. */
const SHORTEST_MS = 30 * 86_400_000;

/** The days that a life line spans: from the first event to today. */
export function spanOf(events: readonly PieceEvent[], today: string): { from: number; to: number } {
  const days = events.flatMap((e) => [e.on, e.until]).filter((d) => d !== null);
  const to = Math.max(...days.map(Date.parse), Date.parse(today));
  return { from: Math.min(...days.map(Date.parse), to - SHORTEST_MS), to };
}
