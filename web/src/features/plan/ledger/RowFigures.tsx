import type { CableType, Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { AlignedFigure } from '../../../ui';
import { fixed, moneyFigure, shownReading, signed } from '../../../units';
import { bandsOf, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';
import { CellFigure } from './CellFigure';
import type { LedgerLayout } from './ledgerLayout';

/** What arrives on each band, what it costs, and where there is room its mass and how thick it is. */
export function RowFigures({
  row,
  cell,
  wide,
  roomy,
}: Pick<LedgerLayout, 'wide' | 'roomy'> & { row: Row; cell: string }) {
  const { plan, ledger, catalogue, focus, address } = useSheet();
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
          />
        </td>
      ))}
      <td className={`${cell} pr-3 text-right`}>
        <Cost row={row} base={base} />
      </td>
      {wide && (
        <td className={`${cell} pr-3 text-right`}>
          {row.mass ? <AlignedFigure text={fixed(row.mass.totalKg, 1)} places={1} /> : '–'}
        </td>
      )}
      {wide && (
        <td className={`${cell} pr-3 text-right`}>
          <Across type={type} />
        </td>
      )}
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
    </span>
  );
}

function Across({ type }: { type: CableType | undefined }) {
  if (!type?.outerDiameterMm) return '–';
  return <AlignedFigure text={fixed(type.outerDiameterMm, 1)} places={1} />;
}
