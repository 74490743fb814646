import type { Row } from '../../../api';
import { useWidth } from '../../../ui';
import { bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { KitRows } from './KitRows';
import { LedgerColumns, LedgerHead } from './LedgerHead';
import { LedgerRow } from './LedgerRow';
import type { LedgerLayout } from './ledgerLayout';
import { ledgerLayout } from './ledgerLayout';
import { useShownRows } from './useShownRows';

/** Candidates down, bands across: what arrives, what it costs, and the first reason in words. */
export function Ledger() {
  const { plan, ledger, catalogue, stale, address } = useSheet();
  const [box, width] = useWidth<HTMLDivElement>();
  const { rows, hidden, firstPass } = useShownRows();
  const layout = ledgerLayout(width, bandsOf(plan).length);
  const suited = rows.filter((r) => r.suitability === 'SUITED');
  const others = rows.filter((r) => r.suitability !== 'SUITED');
  return (
    <div
      ref={box}
      className="min-h-0 flex-1 overflow-auto print:overflow-visible"
      data-testid="ledger"
    >
      <table
        className={`w-full table-fixed border-separate border-spacing-0 ${stale ? 'opacity-45' : ''}`}
        style={{ minWidth: layout.leastWidth }}
      >
        <LedgerColumns {...layout} />
        <LedgerHead {...layout} currency={rows[0]?.cost?.currency} />
        <KitRows {...layout} />
        <tbody>
          {suited.map((row) => (
            <LedgerRow key={row.id} {...layout} row={row} first={row.id === firstPass} />
          ))}
        </tbody>
        {others.length > 0 && <OtherLines {...layout} rows={others} />}
      </table>
      {hidden > 0 && (
        <p role="status" className="px-4 py-2 text-fine text-soft">
          {hidden} {hidden === 1 ? 'cable is' : 'cables are'} not shown.{' '}
          <button
            type="button"
            className="quiet"
            onClick={() => address.sift({ find: '', hideFailing: false })}
          >
            Show all
          </button>
        </p>
      )}
      {!ledger && !stale && (
        <p role="status" className="px-4 py-3 text-soft">
          Comparing {catalogue.length} cables …
        </p>
      )}
    </div>
  );
}

/** Lines that do not belong into a run of this station as it is. */
function OtherLines({ rows, ...layout }: LedgerLayout & { rows: Row[] }) {
  const { plan } = useSheet();
  return (
    <tbody>
      <tr>
        <th
          colSpan={layout.columns}
          scope="rowgroup"
          className="border-b border-hairline px-3 pt-4 pb-1 text-left text-small font-normal text-soft"
        >
          Of another impedance, or balanced: they do not belong into a coaxial{' '}
          {plan.document.assessment?.radio?.impedanceOhm ?? 50} Ω station without a transformer or a
          matching unit.
        </th>
      </tr>
      {rows.map((row) => (
        <LedgerRow key={row.id} {...layout} row={row} first={false} />
      ))}
    </tbody>
  );
}
