import type { Row } from '../../../api';

type Reach = Row['reach'][number];

/** The shortest reach of a row, and the band that sets it; null for cost or mass. Null where nothing is known. */
export function leastReach(row: Row): (Reach & { band: number | null }) | null {
  const all = [
    ...row.reach.map((reach, band) => ({ ...reach, band })),
    ...(row.reachOfRun ? [{ ...row.reachOfRun, band: null }] : []),
  ];
  return all.reduce<(Reach & { band: number | null }) | null>(
    (least, reach) => (least === null || reach.lengthM < least.lengthM ? reach : least),
    null,
  );
}
