import type { Row } from '../../../api';
import { levelText, shownReading, tied } from '../../../units';
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
  const text = tied(
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
  return [text, decidesElsewhere(plan, row, focus, reading)].filter(Boolean).join(' ');
}

/** Which band decides, where it is another than the one in focus. */
function decidesElsewhere(plan: Plan, row: Row, focus: number, reading: Reading): string {
  const band = bandsOf(plan)[row.decidingBand];
  const cell = row.cells[row.decidingBand];
  if (row.decidingBand === focus || !band || !cell) return '';
  const shown = shownReading(reading, powerOn(plan, band) !== null);
  const level = { lossDb: cell.totalLossDb ?? 0, watts: cell.powerAtAntennaW };
  const comes = cell.totalLossDb === null ? 'nothing arrives there' : levelText(level, shown);
  return tied(`${bandName(band)} decides: ${comes}.`);
}
