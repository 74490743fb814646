import type { Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { levelText, shownReading, tied } from '../../../units';
import { capital, reasonText, sentences } from '../../../words';
import type { Plan } from '../document/model';
import { bandName, bandsOf, powerOn, requirementsOf } from '../document/model';
import { partsWith } from '../run/parts';
import { useSheet } from '../sheetContext';

/** What was asked, and what stands against it on the band that has least to spare. */
export function AskedAndComes({ row }: { row: Row }) {
  const sheet = useSheet();
  const { plan } = sheet;
  const { reading } = usePreferences();
  const on = requirementsOf(plan).filter((r) => !r.off);
  const bands = bandsOf(plan);
  const first = row.reasons[0];
  if (first?.requirement === null) {
    // nobody asked for it, and it counts all the same
    const band = first.band === null ? '' : bandName(bands[first.band]);
    return <p>{tied(`${capital(reasonText(first, band, partsWith(row, sheet)(first)))}.`)}</p>;
  }
  if (on.length === 0) {
    return <p className="text-soft">{sentences.nothingAsked}</p>;
  }
  const concerned = first && requirementsOf(plan)[first.requirement];
  if (!concerned) {
    return <p>{tied(`It meets everything you asked: ${tightest(plan, row, reading)}.`)}</p>;
  }
  const text = reasonText(first, first.band === null ? '' : bandName(bands[first.band]));
  return <p>{tied(`${capital(text)}.`)}</p>;
}

function tightest(plan: Plan, row: Row, reading: Parameters<typeof levelText>[1]): string {
  const bands = bandsOf(plan);
  const index = row.cells.reduce(
    (worst, cell, i) =>
      (cell.totalLossDb ?? Infinity) > (row.cells[worst]?.totalLossDb ?? Infinity) ? i : worst,
    0,
  );
  const cell = row.cells[index];
  const level = { lossDb: cell?.totalLossDb ?? 0, watts: cell?.powerAtAntennaW ?? null };
  const shown = shownReading(reading, powerOn(plan, bands[index]) !== null);
  return `${levelText(level, shown)} on ${bandName(bands[index])}, where it is tightest`;
}
