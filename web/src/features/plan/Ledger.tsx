import { useState } from 'react';
import type { CableType, Cell, Ledger as LedgerAnswer, Row } from '../../api';
import { usePreferences } from '../../app/preferences';
import { AlignedFigure, useWidth, VerdictMark, verdictColour } from '../../ui';
import {
  figureOf,
  fixed,
  fractionLeft,
  lengthText,
  moneyFigure,
  shownReading,
  unitOf,
} from '../../units';
import type { Reading } from '../../units';
import { reasonText, rowSummary, words } from '../../words';
import type { Band, Plan } from './model';
import { bandName, bandsOf, candidateLengthM, ownCablesOf, powerOn, preferenceOf } from './model';

interface Props {
  plan: Plan;
  ledger: LedgerAnswer | undefined;
  catalogue: CableType[];
  focus: number;
  selected: string | undefined;
  chosen: string | undefined;
  stale: boolean;
  onFocus: (band: number) => void;
  onSelect: (rowId: string) => void;
  onPoint: (rowId: string | null) => void;
  onEditOwn: (id: string) => void;
}

const WIDE = 1180;
const COLUMNS = { mark: 30, name: 142, focus: 108, cost: 68, extra: 75, reason: 190 };
const FIXED = COLUMNS.mark + COLUMNS.name + COLUMNS.focus + COLUMNS.cost + COLUMNS.reason;
const NARROWEST_BAND = 42;
const ROOMY_BAND = 68;
const WIDEST_BAND = 100;

/** Candidates down, bands across: what arrives, what it costs, and the first reason in words. */
export function Ledger(props: Props) {
  const { plan, ledger, catalogue, focus, stale } = props;
  const { lengths } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const bands = bandsOf(plan);
  const rows = ledger?.rows ?? [];
  const suited = rows.filter((r) => r.suitability === 'SUITED');
  const others = rows.filter((r) => r.suitability !== 'SUITED');
  const wide = width >= WIDE;
  const room = width - FIXED - (wide ? 2 * COLUMNS.extra : 0);
  const bandWidth = Math.max(
    NARROWEST_BAND,
    Math.min(WIDEST_BAND, room / Math.max(1, bands.length - 1)),
  );
  const roomy = bandWidth >= ROOMY_BAND;
  const firstPass = suited.find((r) => r.verdict === 'PASS')?.id;

  return (
    <div ref={box} className="min-h-0 flex-1 overflow-auto" data-testid="ledger">
      <table
        className={`w-full table-fixed border-separate border-spacing-0 ${stale ? 'opacity-45' : ''}`}
        style={{ minWidth: FIXED + bandWidth * (bands.length - 1) }}
      >
        <colgroup>
          <col style={{ width: COLUMNS.mark }} />
          <col style={{ width: COLUMNS.name }} />
          {bands.map((b, i) => (
            <col key={b.id ?? i} style={{ width: i === focus ? COLUMNS.focus : bandWidth }} />
          ))}
          <col style={{ width: COLUMNS.cost }} />
          {wide && <col style={{ width: COLUMNS.extra }} />}
          {wide && <col style={{ width: COLUMNS.extra }} />}
          <col />
        </colgroup>
        <thead>
          <tr className="text-[11px] text-soft [&>th]:sticky [&>th]:top-0 [&>th]:z-10 [&>th]:border-b [&>th]:border-hairline [&>th]:bg-paper [&>th]:py-1 [&>th]:font-normal">
            <th scope="col">
              <span className="sr-only">verdict</span>
            </th>
            <th scope="col" className="text-left">
              cable for the {lengthText(candidateLengthM(plan), lengths)}
            </th>
            {bands.map((band, i) => (
              <BandHead key={band.id ?? i} {...props} band={band} index={i} roomy={roomy} />
            ))}
            <th scope="col" className="pr-3 text-right whitespace-nowrap">
              cost{rows[0]?.cost ? `, ${rows[0].cost.currency}` : ''}
            </th>
            {wide && (
              <th scope="col" className="pr-3 text-right">
                mass, kg
              </th>
            )}
            {wide && (
              <th scope="col" className="pr-3 text-right">
                across, mm
              </th>
            )}
            <th scope="col">
              <span className="sr-only">first reason</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {suited.map((row) => (
            <LedgerRow
              key={row.id}
              {...props}
              row={row}
              first={row.id === firstPass}
              wide={wide}
              roomy={roomy}
            />
          ))}
        </tbody>
        {others.length > 0 && (
          <tbody>
            <tr>
              <th
                colSpan={bands.length + (wide ? 6 : 4)}
                scope="rowgroup"
                className="border-b border-hairline px-3 pt-4 pb-1 text-left text-[11px] font-normal text-soft"
              >
                Of another impedance, or balanced: they do not belong into a coaxial{' '}
                {plan.document.assessment?.radio?.impedanceOhm ?? 50} Ω station without a
                transformer or a matching unit.
              </th>
            </tr>
            {others.map((row) => (
              <LedgerRow
                key={row.id}
                {...props}
                row={row}
                first={false}
                wide={wide}
                roomy={roomy}
              />
            ))}
          </tbody>
        )}
      </table>
      {!ledger && !props.stale && (
        <p role="status" className="px-4 py-3 text-soft">
          Comparing {catalogue.length} cables …
        </p>
      )}
    </div>
  );
}

function BandHead({
  plan,
  band,
  index,
  focus,
  roomy,
  onFocus,
}: Props & { band: Band; index: number; roomy: boolean }) {
  const { reading } = usePreferences();
  const unit = unitOf(shownReading(reading, powerOn(plan, band) !== null));
  return (
    <th
      scope="col"
      className={`${roomy || index === focus ? 'pr-3' : 'pr-0.5'} text-right ${index === focus ? '!font-semibold text-ink' : ''}`}
    >
      <button type="button" onClick={() => onFocus(index)} className="max-w-full truncate">
        {bandName(band)}
        {(roomy || index === focus) && `, ${unit}`}
      </button>
    </th>
  );
}

function LedgerRow({
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
}: Props & { row: Row; first: boolean; wide: boolean; roomy: boolean }) {
  const { reading } = usePreferences();
  const [open, setOpen] = useState(false);
  const bands = bandsOf(plan);
  const isSelected = row.id === selected;
  const pinned = row.id === ledger?.presentRowId || row.id === chosen;
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
            <span className="block text-[10px] leading-[11px] font-normal text-soft empty:hidden">
              {standing(row, ledger, chosen)}
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
              reading={shownReading(reading, powerOn(plan, bands[i]) !== null)}
              wide={i === focus}
            />
          </td>
        ))}
        <td className={`${cellClass} pr-3 text-right`}>
          {row.cost ? <span className="figures">{moneyFigure(Number(row.cost.amount))}</span> : '–'}
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

function standing(row: Row, ledger: LedgerAnswer | undefined, chosen: string | undefined): string {
  return [row.id === chosen ? 'chosen' : '', row.id === ledger?.presentRowId ? 'in the run' : '']
    .filter(Boolean)
    .join(', ');
}

function CellFigure({ cell, reading, wide }: { cell: Cell; reading: Reading; wide: boolean }) {
  if (cell.totalLossDb === null) return <span className="text-soft">–</span>;
  const level = { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW };
  return (
    <>
      <span
        className={`${wide ? 'text-[15px] leading-[18px] font-bold' : 'text-[11px] leading-[18px]'} ${
          cell.verdict === 'FAIL' ? 'text-faint' : ''
        }`}
      >
        <AlignedFigure text={figureOf(level, reading)} />
      </span>
      <span aria-hidden="true" className="mt-px block h-[3px]">
        <span
          className="block h-full min-w-px bg-copper"
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
  onEdit,
}: {
  row: Row;
  type: CableType | undefined;
  bands: Band[];
  onEdit: (() => void) | null;
}) {
  return (
    <div className="grid gap-x-8 gap-y-1 px-10 py-2 text-[12px] min-[900px]:grid-cols-2">
      <div>
        {row.reasons.length === 0 ? (
          <p>Meets what was asked on every band.</p>
        ) : (
          <ul>
            {row.reasons.map((reason, i) => (
              <li key={i} className={verdictColour(reason.verdict)}>
                {reasonText(reason, bandName(bands[reason.band]))}
              </li>
            ))}
          </ul>
        )}
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
  return (
    <>
      <p>
        {type.family}; {type.impedanceOhm} Ω, velocity factor {type.velocityFactor},{' '}
        {type.outerDiameterMm} mm across
        {row.mass ? `, ${fixed(row.mass.totalKg, 1)} kg` : ''}; {type.jacket} jacket,{' '}
        {type.centreConductor} centre, bends to {type.bendRadiusOnceMm} mm once and{' '}
        {type.bendRadiusRepeatedMm} mm again and again.
      </p>
      {type.note && <p>{type.note}.</p>}
      <p>
        {words.typicalFigures} The law fitted to its {type.points.length} points misses none by more
        than {fixed(100 * type.fit.worstRelativeResidual, 1)} %.
      </p>
    </>
  );
}
