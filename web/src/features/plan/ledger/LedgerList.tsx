import { usePreferences } from '../../../app/preferences';
import { VerdictMark, verdictColour } from '../../../ui';
import { figureOf, lengthText, moneyFigure, shownReading, unitOf } from '../../../units';
import { rowSummary, shortChance } from '../../../words';
import { useSheet } from '../sheetContext';
import { partsWith } from '../run/parts';
import { KitLine } from './KitLine';
import { kindOfLine } from './kindOfLine';
import { bandName, bandsOf, candidateLengthM, powerOn, preferenceOf } from '../document/model';
import { useShownRows } from './useShownRows';

/** The ledger for a phone: a list, one cable a line, on the band in focus. */
export function LedgerList() {
  const sheet = useSheet();
  const { plan, row: selected, chosen, focus, stale, pickRow, sureness } = sheet;
  const { reading, lengths } = usePreferences();
  const bands = bandsOf(plan);
  const { rows, firstPass } = useShownRows();
  const shown = shownReading(reading, powerOn(plan, bands[focus]) !== null);

  return (
    <section data-testid="ledger" className={stale ? 'opacity-45' : ''}>
      <KitLine />
      <p className="px-4 py-2 text-fine text-soft">
        cable for the {lengthText(candidateLengthM(plan), lengths)}, on {bandName(bands[focus])}
      </p>
      <ul>
        {rows.map((row) => {
          const cell = row.cells[focus];
          const passing = sureness.of(row.id)?.passing ?? null;
          return (
            <li key={row.id} data-row={row.id} data-verdict={row.verdict}>
              <button
                type="button"
                aria-label={row.name}
                aria-describedby={`row-${row.id}`}
                aria-pressed={row.id === selected?.id}
                className={`flex min-h-14 w-full items-center gap-3 border-b border-l-[3px] border-hairline px-3 py-1.5 text-left ${
                  row.id === selected?.id ? 'border-l-blue bg-raised' : 'border-l-transparent'
                }`}
                onClick={() => pickRow(row.id)}
              >
                <VerdictMark verdict={row.verdict} />
                <span id={`row-${row.id}`} className="min-w-0 flex-1">
                  <span className="block font-semibold">
                    {row.name}
                    <span className="ml-2 text-small font-normal text-soft empty:hidden">
                      {[kindOfLine(row, sheet.catalogue), row.id === chosen ? 'chosen' : '']
                        .filter(Boolean)
                        .join(', ')}
                    </span>
                  </span>
                  <span className={`block text-fine ${verdictColour(row.verdict)}`}>
                    {rowSummary(
                      row,
                      row.id === firstPass,
                      preferenceOf(plan),
                      bands.map(bandName),
                      partsWith(row, sheet),
                    )}
                    {passing !== null && (
                      <span className="block text-small text-soft">
                        {shortChance(passing)} would pass
                      </span>
                    )}
                  </span>
                </span>
                <span className="shrink-0 text-right">
                  <span className="figures block text-answer font-bold">
                    {cell && cell.totalLossDb !== null
                      ? `${figureOf({ lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW }, shown)} ${unitOf(shown)}`
                      : '–'}
                  </span>
                  <span className="figures block text-small text-soft">
                    {row.cost
                      ? `${moneyFigure(Number(row.cost.amount))} ${row.cost.currency}`
                      : 'no price'}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
