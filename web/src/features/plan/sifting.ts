import type { CableType, Row } from '../../api';
import type { Sifting } from './LedgerBar';

/** What an address says of the rows. */
export function siftingOf(params: URLSearchParams): Sifting {
  return {
    find: params.get('find') ?? '',
    hideFailing: params.get('hide') === 'failing',
    base: params.get('base'),
    pinned: params.get('pin')?.split(' ').filter(Boolean) ?? [],
  };
}

/** The same as what an address keeps of it; what is usual is left out. */
export function siftedInto(change: Partial<Sifting>): Record<string, string | undefined> {
  return {
    ...('find' in change && { find: change.find || undefined }),
    ...('hideFailing' in change && { hide: change.hideFailing ? 'failing' : undefined }),
    ...('base' in change && { base: change.base ?? undefined }),
    ...('pinned' in change && { pin: change.pinned?.join(' ') || undefined }),
  };
}

/** The rows that are left: those found and not hidden, and what must stay in sight whatever is sifted. */
export function sifted(
  rows: readonly Row[],
  sifting: Sifting,
  catalogue: readonly CableType[],
  kept: readonly (string | undefined)[],
): Row[] {
  return rows.filter(
    (row) =>
      kept.includes(row.id) ||
      sifting.pinned.includes(row.id) ||
      row.id === sifting.base ||
      (isFound(row, sifting.find, catalogue) && !(sifting.hideFailing && row.verdict === 'FAIL')),
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
