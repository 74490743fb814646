import type { Row } from '../../../api';

type Reach = Row['reach'][number];

/** The shortest reach of a row over its bands, and the band that sets it; null where nothing is known. */
export function leastReach(row: Row): (Reach & { band: number }) | null {
  return row.reach.reduce<(Reach & { band: number }) | null>(
    (least, reach, band) =>
      least === null || reach.lengthM < least.lengthM ? { ...reach, band } : least,
    null,
  );
}
