import { usePreferences } from '../../../app/preferences';
import { useWidth } from '../../../ui';
import { lengthText, shownReading, unitOf } from '../../../units';
import type { Command } from '../document/commands';
import { KitRows } from './KitRows';
import { LedgerRow } from './LedgerRow';
import type { RowContext } from './LedgerRow';
import type { Band } from '../document/model';
import { bandName, bandsOf, candidateLengthM, powerOn, timesOf } from '../document/model';
import { filtered } from './ledgerFilter';

interface Props extends RowContext {
  stale: boolean;
  onFocus: (band: number) => void;
  onCommand: (command: Command) => void;
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
  const rows = filtered(ledger?.rows ?? [], props.filter, catalogue, [
    ledger?.presentRowId,
    props.chosen,
    props.selected,
  ]);
  const hidden = (ledger?.rows.length ?? 0) - rows.length;
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
    <div
      ref={box}
      className="min-h-0 flex-1 overflow-auto print:overflow-visible"
      data-testid="ledger"
    >
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
          <tr className="text-small text-soft [&>th]:sticky [&>th]:top-0 [&>th]:z-10 [&>th]:border-b [&>th]:border-hairline [&>th]:bg-paper [&>th]:py-1 [&>th]:font-normal">
            <th scope="col">
              <span className="sr-only">verdict</span>
            </th>
            <th scope="col" className="text-left">
              cable for {timesOf(plan) > 1 ? `${timesOf(plan)} × ` : 'the '}
              {lengthText(candidateLengthM(plan), lengths)}
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
        <KitRows
          plan={plan}
          catalogue={catalogue}
          focus={focus}
          wide={wide}
          roomy={roomy}
          onCommand={props.onCommand}
        />
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
                className="border-b border-hairline px-3 pt-4 pb-1 text-left text-small font-normal text-soft"
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
      {hidden > 0 && (
        <p role="status" className="px-4 py-2 text-fine text-soft">
          {hidden} {hidden === 1 ? 'cable is' : 'cables are'} not shown.{' '}
          <button
            type="button"
            className="quiet"
            onClick={() => props.onFilter({ find: '', hideFailing: false })}
          >
            Show all
          </button>
        </p>
      )}
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
