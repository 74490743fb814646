import type { Piece, PieceEvent } from '../../api';

/** What the list is narrowed to; everything, where nothing is asked. */
export interface Asked {
  search: string;
  standing: Piece['standing'] | 'OUT' | null;
}

/** Whether a piece has all that was typed in its label, type, place or note, and stands as asked. */
export function isFound(piece: Piece, asked: Asked): boolean {
  const text = [piece.label, piece.cableName, piece.keptAt, piece.outTo, piece.note]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
  return (
    asked.search
      .toLowerCase()
      .split(/\s+/)
      .every((word) => text.includes(word)) && standsAs(piece, asked.standing)
  );
}

function standsAs(piece: Piece, standing: Asked['standing']): boolean {
  if (standing === null) return true;
  return standing === 'OUT' ? piece.outSince !== null : piece.standing === standing;
}

const WEIGHT: Record<Piece['standing'], number> = { FAILING: 0, DUE: 1, FINE: 2, RETIRED: 3 };

/** What needs a hand first: failing, due by the day, fine, retired; then by label, as numbers in it count. */
export function byUrgency(pieces: readonly Piece[]): Piece[] {
  return [...pieces].sort(
    (a, b) =>
      WEIGHT[a.standing] - WEIGHT[b.standing] ||
      a.label.localeCompare(b.label, 'en', { numeric: true }),
  );
}

/** How many pieces stand how. */
export function counted(pieces: readonly Piece[]) {
  const count = (standing: Piece['standing']) =>
    pieces.filter((p) => p.standing === standing).length;
  return {
    failing: count('FAILING'),
    due: count('DUE'),
    retired: count('RETIRED'),
    out: pieces.filter((p) => p.outSince !== null).length,
  };
}

/** A life of a day would be no line: 30 days. */
const SHORTEST_MS = 30 * 86_400_000;

/** The days that a life line spans: from the first event to today. */
export function spanOf(events: readonly PieceEvent[], today: string): { from: number; to: number } {
  const days = events.flatMap((e) => [e.on, e.until]).filter((d) => d !== null);
  const to = Math.max(...days.map(Date.parse), Date.parse(today));
  return { from: Math.min(...days.map(Date.parse), to - SHORTEST_MS), to };
}
