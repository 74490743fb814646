/** The entries of a table whose keys are known. */
export function entries<K extends string, V>(table: Record<K, V>): [K, V][] {
  return Object.entries(table) as [K, V][];
}
