import type { CableType, Row } from '../../../api';

/** Which rows are shown, and against which their figures are read; kept in the address. */
export interface LedgerFilter {
  find: string;
  hideFailing: boolean;
  /** The row that all figures are read against. */
  base: string | null;
  pinned: readonly string[];
}

/** What an address says of the rows. */
export function filterOfAddress(params: URLSearchParams): LedgerFilter {
  return {
    find: params.get('find') ?? '',
    hideFailing: params.get('hide') === 'failing',
    base: params.get('base'),
    pinned: params.get('pin')?.split(' ').filter(Boolean) ?? [],
  };
}

/** The same as what an address keeps of it; what is usual is left out. */
export function addressOfFilter(change: Partial<LedgerFilter>): Record<string, string | undefined> {
  return {
    ...('find' in change && { find: change.find || undefined }),
    ...('hideFailing' in change && { hide: change.hideFailing ? 'failing' : undefined }),
    ...('base' in change && { base: change.base ?? undefined }),
    ...('pinned' in change && { pin: change.pinned?.join(' ') || undefined }),
  };
}

/** The rows that are left: those found and not hidden, and what must stay in sight whatever is filtered. */
export function filtered(
  rows: readonly Row[],
  filter: LedgerFilter,
  catalogue: readonly CableType[],
  kept: readonly (string | undefined)[],
): Row[] {
  return rows.filter(
    (row) =>
      kept.includes(row.id) ||
      filter.pinned.includes(row.id) ||
      row.id === filter.base ||
      (isFound(row, filter.find, catalogue) && !(filter.hideFailing && row.verdict === 'FAIL')),
  );
}

function isFound(row: Row, find: string, catalogue: readonly CableType[]): boolean {
  const type = catalogue.find((t) => t.key === row.id);
  const text = [row.name, row.id, type?.family, type?.jacket].join(' ').toLowerCase();
  return find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
