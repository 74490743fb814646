import type { CableType, Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import {
  acrossFigure,
  fractionLeft,
  massText,
  moneyFigure,
  shownReading,
  signed,
  significant,
} from '../../../units';
import { bandsOf, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';
import { CellFigure } from './CellFigure';
import type { Extra, LedgerLayout } from './ledgerLayout';

/** What arrives on each band, what it costs, and where there is room its mass and how thick it is. */
export function RowFigures({
  row,
  cell,
  extras,
  roomy,
}: Pick<LedgerLayout, 'extras' | 'roomy'> & { row: Row; cell: string }) {
  const { plan, ledger, catalogue, focus, address, sureness } = useSheet();
  const { reading } = usePreferences();
  const bands = bandsOf(plan);
  const base = ledger?.rows.find((r) => r.id === address.filter.base && r.id !== row.id);
  const type = catalogue.find((t) => t.key === row.id);
  return (
    <>
      {row.cells.map((figures, i) => (
        <td
          key={bands[i]?.id ?? i}
          className={`${cell} text-right ${roomy || i === focus ? 'pr-3' : 'pr-0.5'}`}
        >
          <CellFigure
            cell={figures}
            base={base?.cells[i]}
            reading={shownReading(reading, powerOn(plan, bands[i]) !== null)}
            wide={i === focus}
            sends={powerOn(plan, bands[i]) !== null}
            middle={sureness.of(row.id)?.middle[i]}
          />
        </td>
      ))}
      <td className={`${cell} pr-3 text-right`}>
        <Cost row={row} base={base} />
      </td>
      {extras.map((extra) => (
        <td key={extra} className={`${cell} figures pr-3 text-right`}>
          {tellExtra(extra, row, row.cells[focus]?.totalLossDb ?? null, type)}
        </td>
      ))}
    </>
  );
}

function Cost({ row, base }: { row: Row; base: Row | undefined }) {
  if (!row.cost) return <span className="text-small text-soft">not known</span>;
  return (
    <span className="figures">
      {base?.cost
        ? signed(row.cost.amount - base.cost.amount, moneyFigure)
        : moneyFigure(row.cost.amount)}
      {row.notInCost.length > 0 && (
        <abbr
          title="not everything that is bought is in it: open the row"
          aria-label=", without some parts"
          className="no-underline"
        >
          +
        </abbr>
      )}
    </span>
  );
}

/** One of the columns that may be there or not. */
function tellExtra(
  extra: Extra,
  row: Row,
  lossDb: number | null,
  type: CableType | undefined,
): string {
  switch (extra) {
    case 'lost':
      return lossDb === null ? '–' : significant(100 * (1 - fractionLeft(lossDb)));
    case 'mass':
      return row.mass ? massText(row.mass.totalKg) : '–';
    case 'across':
      return type?.outerDiameterMm ? acrossFigure(type.outerDiameterMm) : '–';
  }
}
