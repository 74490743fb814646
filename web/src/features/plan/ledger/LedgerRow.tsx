import { useState } from 'react';
import type { Row } from '../../../api';
import { VerdictMark, verdictColour } from '../../../ui';
import { rowSummary, shortChance } from '../../../words';
import { partsWith } from '../run/parts';
import { bandName, bandsOf, isAnythingAsked, preferenceOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { useSheet } from '../sheetContext';
import { standingOf } from './standing';
import { kindOfLine } from './kindOfLine';
import type { LedgerLayout } from './ledgerLayout';
import { RowFigures } from './RowFigures';
import { RowMore } from './RowMore';

interface Props extends LedgerLayout {
  row: Row;
  /** Whether it is the first that passes. */
  first: boolean;
}

/** One cable of the ledger; it opens to all its reasons and to what is known of it. */
export function LedgerRow({ row, first, ...layout }: Props) {
  const sheet = useSheet();
  const { plan, pickRow, pointRow } = sheet;
  const [open, setOpen] = useState(false);
  const isInRun = row.id === sheet.rowId;
  const cell = cellClass(sheet, row.id, isInRun);
  const edge = isInRun ? 'border-l-blue' : 'border-l-transparent';
  return (
    <>
      <tr
        data-row={row.id}
        data-verdict={row.verdict}
        className={isInRun ? '' : 'hover:[&>td]:bg-raised hover:[&>th]:bg-raised'}
        onClick={() => pickRow(row.id)}
        onMouseEnter={() => pointRow(row.id)}
        onMouseLeave={() => pointRow(null)}
      >
        <td className={`${cell} border-l-[3px] pl-2 ${edge}`}>
          <VerdictMark verdict={row.verdict} />
        </td>
        <RowName row={row} isInRun={isInRun} cell={cell} />
        <RowFigures {...layout} row={row} cell={cell} />
        <td className={`${cell} pr-2 ${verdictColour(row.verdict)}`}>
          <span className="flex items-start gap-1">
            <span className="min-w-0 flex-1 leading-tight">
              {rowSummary(
                row,
                first,
                preferenceOf(plan),
                bandsOf(plan).map(bandName),
                partsWith(row, sheet),
              )}
              <ShortChance row={row} />
            </span>
            <MoreButton name={row.name} open={open} onToggle={() => setOpen(!open)} />
          </span>
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={layout.columns} className="border-b border-hairline bg-raised">
            <RowMore row={row} />
          </td>
        </tr>
      )}
    </>
  );
}

/** How many of twenty would do; its room is kept while it is being worked out. */
function ShortChance({ row }: { row: Row }) {
  const { plan, sureness } = useSheet();
  if (!isAnythingAsked(plan)) return null;
  const passing = sureness.of(row.id)?.passing ?? null;
  return (
    <span className="block min-h-[11px] text-tiny leading-[11px] text-soft">
      {passing !== null && `${shortChance(passing)} would pass`}
    </span>
  );
}

/** What stands for something, chosen, in the run or pinned, stays in sight while the others scroll. */
function cellClass({ chosen, address }: Sheet, id: string, isInRun: boolean): string {
  const stays = isInRun || id === chosen || address.filter.pinned.includes(id);
  const ground = isInRun ? 'bg-raised' : stays ? 'bg-paper' : '';
  const held = 'sticky top-[25px] bottom-0 z-[5] shadow-[0_-1px_0_var(--hairline)]';
  return `border-b border-hairline py-[3px] align-middle ${ground} ${stays ? held : ''}`;
}

function RowName({ row, isInRun, cell }: { row: Row; isInRun: boolean; cell: string }) {
  const sheet = useSheet();
  return (
    <th scope="row" className={`${cell} text-left font-semibold`}>
      <button
        type="button"
        aria-pressed={isInRun}
        aria-label={row.name}
        className="block w-full text-left"
        onFocus={() => sheet.pointRow(row.id)}
        onBlur={() => sheet.pointRow(null)}
        onKeyDown={walk}
      >
        <span className="block truncate">{row.name}</span>
        <span className="block text-tiny leading-[11px] font-normal text-soft empty:hidden">
          {standing(row, sheet)}
        </span>
      </button>
    </th>
  );
}

function MoreButton({
  name,
  open,
  onToggle,
}: {
  name: string;
  open: boolean;
  onToggle: () => void;
}) {
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-label={`more about ${name}`}
      className="shrink-0 px-1 text-soft"
      onClick={(e) => {
        e.stopPropagation();
        onToggle();
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
  );
}

/** Up and down walk through the rows and point at them; Enter picks one. */
function walk(e: React.KeyboardEvent<HTMLButtonElement>) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
  if (!step) return;
  e.preventDefault();
  const rows = [...(e.currentTarget.closest('table')?.querySelectorAll('[data-row]') ?? [])];
  const here = rows.findIndex((r) => r.contains(e.currentTarget));
  rows[here + step]?.querySelector('button')?.focus();
}

function standing(row: Row, { rowId, follows, chosen, address, catalogue }: Sheet): string {
  return [
    kindOfLine(row, catalogue),
    standingOf(row.id, { rowId, follows, chosen }),
    address.filter.pinned.includes(row.id) ? 'pinned' : '',
    row.id === address.filter.base ? 'the others against it' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
