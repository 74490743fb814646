import type { Row } from '../../../api';

/** Where all is told of the cable of a row: among the cables, or in the locker; undefined for a figure of the operator's own. */
export function sheetOf(row: Row): string | undefined {
  const source = row.assignment[0]?.source;
  if (source?.pieceId) return `/locker/${source.pieceId}`;
  return source?.cableKey ? `/cables?type=${source.cableKey}` : undefined;
}
