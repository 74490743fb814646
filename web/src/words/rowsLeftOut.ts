import type { Ledger } from '../api';

/** What has no row among very many cables, in a sentence. */
export function rowsLeftOutText(leftOut: NonNullable<Ledger['leftOut']>): string {
  const parts = [
    [leftOut.behind, 'that come after these'],
    [leftOut.otherImpedance, 'of another impedance'],
    [leftOut.sheetEndsBelow, 'whose sheet ends below the highest band'],
  ].flatMap(([count, what]) => (count ? [`${count} ${what}`] : []));
  return `Not shown: ${parts.join(', ')}.`;
}
