import type { CableType, Row } from '../../../api';
import { plain } from '../../../units';

/** What marks a line that is not of the station's kind: balanced, or of another impedance. */
export function kindOfLine(row: Row, catalogue: CableType[]): string {
  if (row.suitability === 'BALANCED') return 'balanced';
  if (row.suitability === 'SUITED') return '';
  const type = catalogue.find((t) => t.key === row.id);
  return type ? `${plain(type.impedanceOhm, 0)} Ω` : 'of another impedance';
}
