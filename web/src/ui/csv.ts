/** What a cell may hold; null and undefined are an empty one. */
export type Cell = string | number | null | undefined;

/** Comma-separated values (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it. */
export function csvText(rows: readonly (readonly Cell[])[]): string {
  return rows.map((cells) => cells.map(cellText).join(',') + '\r\n').join('');
}

function cellText(cell: Cell): string {
  if (cell == null) return '';
  return quoted(typeof cell === 'number' ? `${cell}` : guarded(cell));
}

function guarded(text: string): string {
  return /^['=+\-@\t\r]/.test(text) ? `'${text}` : text;
}

function quoted(text: string): string {
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}
