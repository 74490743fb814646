import type { CableType } from '../../api';

export type Column =
  'name' | 'impedanceOhm' | 'outerDiameterMm' | 'massGPerM' | 'loss' | 'pricePerM';

/** Types by a column; what is not known comes last whichever way round. */
export function sorted(
  types: readonly CableType[],
  column: Column | null,
  isDown: boolean,
  lossOf: (key: string) => number | null,
): CableType[] {
  const favouritesFirst = types.toSorted((a, b) => Number(b.favourite) - Number(a.favourite));
  if (column === null) return favouritesFirst;
  const sign = isDown ? -1 : 1;
  const value = (t: CableType) =>
    column === 'name' ? t.name : column === 'loss' ? lossOf(t.key) : t[column];
  return favouritesFirst.toSorted((a, b) => {
    const [x, y] = [value(a), value(b)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    return typeof x === 'string' || typeof y === 'string'
      ? sign * String(x).localeCompare(String(y), 'en', { numeric: true })
      : sign * (x - y);
  });
}

/** Whether a type has every word of a filter in it. */
export function isFound(type: CableType, filter: string): boolean {
  const text = [
    type.name,
    type.key,
    type.family,
    type.jacket,
    type.dielectric,
    type.shield,
    `${type.impedanceOhm} Ω`,
  ]
    .join(' ')
    .toLowerCase();
  return filter
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
