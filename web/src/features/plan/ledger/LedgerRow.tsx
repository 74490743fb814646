import { useState } from 'react';
import { Link } from 'react-router';
import type { CableType, Cell, Ledger, Row } from '../../../api';
import { useTestBehind } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { AlignedFigure, Term, VerdictMark, verdictColour } from '../../../ui';
import {
  againstFigure,
  figureOf,
  fixed,
  fractionLeft,
  moneyFigure,
  shownReading,
  signed,
} from '../../../units';
import type { Reading } from '../../../units';
import { provenanceText, reasonText, rowSummary, words } from '../../../words';
import type { LedgerFilter } from './ledgerFilter';
import type { Band, Plan } from '../document/model';
import { bandName, bandsOf, ownCablesOf, powerOn, preferenceOf } from '../document/model';

/** What a row needs to know of its ledger. */
export interface RowContext {
  plan: Plan;
  ledger: Ledger | undefined;
  catalogue: CableType[];
  focus: number;
  selected: string | undefined;
  chosen: string | undefined;
  onSelect: (rowId: string) => void;
  onPoint: (rowId: string | null) => void;
  onEditOwn: (id: string) => void;
  filter: LedgerFilter;
  onFilter: (change: Partial<LedgerFilter>) => void;
}

interface Props extends RowContext {
  row: Row;
  /** Whether it is the first that passes. */
  first: boolean;
  /** Whether there is room for mass and diameter. */
  wide: boolean;
  /** Whether there is room for figures of full size on every band. */
  roomy: boolean;
}

/** One cable of the ledger; it opens to all its reasons and to what is known of it. */
export function LedgerRow({
  plan,
  ledger,
  catalogue,
  row,
  focus,
  selected,
  chosen,
  first,
  wide,
  roomy,
  onSelect,
  onPoint,
  onEditOwn,
  filter,
  onFilter,
}: Props) {
  const { reading } = usePreferences();
  const [open, setOpen] = useState(false);
  const bands = bandsOf(plan);
  const isSelected = row.id === selected;
  const isPinned = filter.pinned.includes(row.id);
  const pinned = row.id === ledger?.presentRowId || row.id === chosen || isPinned;
  const base = ledger?.rows.find((r) => r.id === filter.base && r.id !== row.id);
  const type = catalogue.find((t) => t.key === row.id);
  const cellClass = `border-b border-hairline py-[3px] align-middle ${isSelected ? 'bg-raised' : pinned ? 'bg-paper' : ''} ${
    pinned ? 'sticky top-[25px] bottom-0 z-[5] shadow-[0_-1px_0_var(--hairline)]' : ''
  }`;

  return (
    <>
      <tr
        data-row={row.id}
        data-verdict={row.verdict}
        className={isSelected ? '' : 'hover:[&>td]:bg-raised hover:[&>th]:bg-raised'}
        onClick={() => onSelect(row.id)}
        onMouseEnter={() => onPoint(row.id)}
        onMouseLeave={() => onPoint(null)}
      >
        <td
          className={`${cellClass} border-l-[3px] pl-2 ${isSelected ? 'border-l-blue' : 'border-l-transparent'}`}
        >
          <VerdictMark verdict={row.verdict} />
        </td>
        <th scope="row" className={`${cellClass} text-left font-semibold`}>
          <button
            type="button"
            aria-pressed={isSelected}
            aria-label={row.name}
            className="block w-full text-left"
            onFocus={() => onPoint(row.id)}
            onBlur={() => onPoint(null)}
            onKeyDown={(e) => walk(e, onSelect)}
          >
            <span className="block truncate">{row.name}</span>
            <span className="block text-tiny leading-[11px] font-normal text-soft empty:hidden">
              {standing(row, ledger, chosen, filter)}
            </span>
          </button>
        </th>
        {row.cells.map((cell, i) => (
          <td
            key={bands[i]?.id ?? i}
            className={`${cellClass} text-right ${roomy || i === focus ? 'pr-3' : 'pr-0.5'}`}
          >
            <CellFigure
              cell={cell}
              base={base?.cells[i]}
              reading={shownReading(reading, powerOn(plan, bands[i]) !== null)}
              wide={i === focus}
              sends={powerOn(plan, bands[i]) !== null}
            />
          </td>
        ))}
        <td className={`${cellClass} pr-3 text-right`}>
          {row.cost ? (
            <span className="figures">
              {base?.cost
                ? signed(row.cost.amount - base.cost.amount, moneyFigure)
                : moneyFigure(row.cost.amount)}
            </span>
          ) : (
            <span className="text-small text-soft">not known</span>
          )}
        </td>
        {wide && (
          <td className={`${cellClass} pr-3 text-right`}>
            {row.mass ? <AlignedFigure text={fixed(row.mass.totalKg, 1)} places={1} /> : '–'}
          </td>
        )}
        {wide && (
          <td className={`${cellClass} pr-3 text-right`}>
            {type?.outerDiameterMm ? (
              <AlignedFigure text={fixed(type.outerDiameterMm, 1)} places={1} />
            ) : (
              '–'
            )}
          </td>
        )}
        <td className={`${cellClass} pr-2 ${verdictColour(row.verdict)}`}>
          <span className="flex items-start gap-1">
            <span className="min-w-0 flex-1 leading-tight">
              {rowSummary(row, first, preferenceOf(plan), bands.map(bandName))}
            </span>
            <button
              type="button"
              aria-expanded={open}
              aria-label={`more about ${row.name}`}
              className="shrink-0 px-1 text-soft"
              onClick={(e) => {
                e.stopPropagation();
                setOpen(!open);
              }}
            >
              <svg viewBox="0 0 10 10" width="9" height="9" aria-hidden="true">
                <path
                  d={open ? 'M1 7 5 3l4 4' : 'M1 3l4 4 4-4'}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth="1.4"
                />
              </svg>
            </button>
          </span>
        </td>
      </tr>
      {open && (
        <tr>
          <td
            colSpan={bands.length + (wide ? 6 : 4)}
            className="border-b border-hairline bg-raised"
          >
            <RowMore
              row={row}
              isPinned={isPinned}
              isBase={row.id === filter.base}
              onPin={() =>
                onFilter({
                  pinned: isPinned
                    ? filter.pinned.filter((id) => id !== row.id)
                    : [...filter.pinned, row.id],
                })
              }
              onBase={() => onFilter({ base: row.id === filter.base ? null : row.id })}
              type={type}
              bands={bands}
              onEdit={
                ownCablesOf(plan).some((c) => c.id === row.id) ? () => onEditOwn(row.id) : null
              }
            />
          </td>
        </tr>
      )}
    </>
  );
}

/** Up and down walk through the rows. */
function walk(e: React.KeyboardEvent<HTMLButtonElement>, onSelect: (rowId: string) => void) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
  if (!step) return;
  e.preventDefault();
  const rows = [...(e.currentTarget.closest('table')?.querySelectorAll('[data-row]') ?? [])];
  const here = rows.findIndex((r) => r.contains(e.currentTarget));
  const next = rows[here + step];
  const button = next?.querySelector('button');
  if (!next || !button) return;
  button.focus();
  onSelect(next.getAttribute('data-row') ?? '');
}

function standing(
  row: Row,
  ledger: Ledger | undefined,
  chosen: string | undefined,
  filter: LedgerFilter,
): string {
  return [
    row.id === chosen ? 'chosen' : '',
    row.id === ledger?.presentRowId ? 'in the run' : '',
    filter.pinned.includes(row.id) ? 'pinned' : '',
    row.id === filter.base ? 'the others against it' : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What arrives on one band, or how it differs from what it is read against. */
export function CellFigure({
  cell,
  base,
  reading,
  wide,
  sends,
}: {
  cell: Cell;
  /** What it is read against; undefined for the figure as such. */
  base: Cell | undefined;
  reading: Reading;
  wide: boolean;
  /** Whether it is radio power, which alone is copper. */
  sends: boolean;
}) {
  if (cell.totalLossDb === null) return <span className="text-soft">–</span>;
  const level = { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW };
  const figure =
    base && base.totalLossDb !== null
      ? againstFigure(level, { lossDb: base.totalLossDb, watts: base.powerAtAntennaW }, reading)
      : figureOf(level, reading);
  return (
    <>
      <span
        className={`${wide ? 'text-answer leading-[18px] font-bold' : 'text-small leading-[18px]'} ${
          cell.verdict === 'FAIL' ? 'text-faint' : ''
        }`}
      >
        <AlignedFigure text={figure} />
      </span>
      <span aria-hidden="true" className="mt-px block h-[3px]">
        <span
          className={`block h-full min-w-px ${sends ? 'bg-copper' : 'bg-soft'}`}
          style={{ width: `${100 * fractionLeft(cell.totalLossDb)}%` }}
        />
      </span>
    </>
  );
}

function RowMore({
  row,
  type,
  bands,
  isPinned,
  isBase,
  onPin,
  onBase,
  onEdit,
}: {
  row: Row;
  isPinned: boolean;
  isBase: boolean;
  onPin: () => void;
  onBase: () => void;
  type: CableType | undefined;
  bands: Band[];
  onEdit: (() => void) | null;
}) {
  return (
    <div className="grid gap-x-8 gap-y-1 px-10 py-2 text-fine min-[900px]:grid-cols-2">
      <div>
        {row.reasons.length === 0 ? (
          <p>Meets what was asked on every band.</p>
        ) : (
          <ul>
            {row.reasons.map((reason, i) => (
              <li key={i} className={verdictColour(reason.verdict)}>
                {reasonText(reason, reason.band === null ? '' : bandName(bands[reason.band]))}
              </li>
            ))}
          </ul>
        )}
        <span className="flex flex-wrap gap-x-4">
          <button type="button" className="quiet" aria-pressed={isPinned} onClick={onPin}>
            {isPinned ? 'let it go' : 'keep it in sight'}
          </button>
          <button type="button" className="quiet" aria-pressed={isBase} onClick={onBase}>
            {isBase ? 'read figures as they are' : 'read the others against it'}
          </button>
        </span>
        {onEdit && (
          <button type="button" className="quiet" onClick={onEdit}>
            change or remove this figure of my own
          </button>
        )}
      </div>
      <div className="text-soft">
        {type ? <CableFacts type={type} row={row} /> : <p>A figure of your own.</p>}
      </div>
    </div>
  );
}

function CableFacts({ type, row }: { type: CableType; row: Row }) {
  const test = useTestBehind(type.key);
  return (
    <>
      <p>
        {type.family}; <Term of="impedance">{type.impedanceOhm} Ω</Term>,{' '}
        <Term of="velocity-factor">velocity factor</Term> {type.velocityFactor}
        {type.outerDiameterMm !== null && `, ${type.outerDiameterMm} mm across`}
        {row.mass ? `, ${fixed(row.mass.totalKg, 1)} kg` : ''}
        {type.jacket !== null && (
          <>
            ; {type.jacket} <Term of="jacket">jacket</Term>
          </>
        )}
        {type.centreConductor !== null && (
          <>
            , {type.centreConductor} <Term of="centre-conductor">centre</Term>
          </>
        )}
        {type.bendRadiusOnceMm !== null && (
          <>
            , <Term of="bend">bends</Term> to {type.bendRadiusOnceMm} mm once
          </>
        )}
        {type.bendRadiusRepeatedMm !== null &&
          ` and ${type.bendRadiusRepeatedMm} mm again and again`}
        .
      </p>
      {type.note && <p>{type.note}.</p>}
      <p>
        <Link className="quiet" to={`/cables?type=${type.key}`}>
          all about it
        </Link>
        ,{' '}
        <Link className="quiet" to="/cables/anatomy">
          what these words mean
        </Link>
      </p>
      <p>
        {type.provenance === 'TYPICAL'
          ? words.typicalFigures
          : `Its figures are ${provenanceText(type)}.`}{' '}
        {test && (
          <>
            <Link className="quiet underline" to={`/bench/${test.id}`}>
              The test
            </Link>
            .{' '}
          </>
        )}
        The law fitted to its {type.points.length} points misses none by more than{' '}
        {fixed(100 * type.fit.worstRelativeResidual, 1)} %.
      </p>
    </>
  );
}
