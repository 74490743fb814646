import { useWidth } from '../../../ui';
import { rowsLeftOutText } from '../../../words';
import { bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { KitRows } from './KitRows';
import { LedgerColumns, LedgerHead } from './LedgerHead';
import { LedgerRow } from './LedgerRow';
import { ledgerLayout } from './ledgerLayout';
import { useExtras } from './useExtras';
import { useShownRows } from './useShownRows';

/** Candidates down, bands across: what arrives, what it costs, and the first reason in words. */
export function Ledger() {
  const { plan, ledger, catalogue, stale, address } = useSheet();
  const [box, width] = useWidth<HTMLDivElement>();
  const { rows, hidden, firstPass, leftOut } = useShownRows();
  const layout = ledgerLayout(width, bandsOf(plan).length, useExtras());
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
          {rows.map((row) => (
            <LedgerRow key={row.id} {...layout} row={row} first={row.id === firstPass} />
          ))}
        </tbody>
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
      {leftOut && (
        <p role="status" className="px-4 py-2 text-fine text-soft">
          {rowsLeftOutText(leftOut)} Type a name into the filter to find any of them.
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
