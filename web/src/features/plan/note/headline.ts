import type { Row } from '../../../api';
import { shownReading, tied } from '../../../units';
import type { Reading } from '../../../units';
import { brings } from '../../../words';
import type { Plan } from '../document/model';
import { bandName, bandsOf, powerOn } from '../document/model';

/** What a row brings on the band in focus, in a sentence. */
export function headline(plan: Plan, row: Row, focus: number, reading: Reading): string {
  const band = bandsOf(plan)[focus];
  const radioW = powerOn(plan, band);
  const cell = row.cells[focus];
  if (!cell) return '';
  return tied(
    cell.totalLossDb === null
      ? `${row.name} brings nothing to the antenna on ${bandName(band)}.`
      : brings(
          row.name,
          { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW },
          shownReading(reading, radioW !== null),
          radioW,
          bandName(band),
        ),
  );
}
