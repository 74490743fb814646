import { usePreferences } from '../../../app/preferences';
import { lengthText, shownReading, unitOf, unitsBeside } from '../../../units';
import type { Band } from '../document/model';
import { bandName, bandsOf, candidateLengthM, powerOn, timesOf } from '../document/model';
import { useSheet } from '../sheetContext';
import type { Extra, LedgerLayout } from './ledgerLayout';
import { COLUMNS } from './ledgerLayout';

/** How wide the columns are. */
export function LedgerColumns({ extras, bandWidth }: LedgerLayout) {
  const { plan, focus } = useSheet();
  return (
    <colgroup>
      <col style={{ width: COLUMNS.mark }} />
      <col style={{ width: COLUMNS.name }} />
      {bandsOf(plan).map((b, i) => (
        <col key={b.id ?? i} style={{ width: i === focus ? COLUMNS.focus : bandWidth }} />
      ))}
      <col style={{ width: COLUMNS.cost }} />
      {extras.map((extra) => (
        <col key={extra} style={{ width: COLUMNS.extra }} />
      ))}
      <col />
    </colgroup>
  );
}

const HEADS: Record<Extra, () => string> = {
  lost: () => 'lost, %',
  mass: () => 'mass',
  across: () => `across, ${unitsBeside().across}`,
};

/** The head of the ledger; pressing a band's brings it into focus. */
export function LedgerHead({
  extras,
  roomy,
  currency,
}: LedgerLayout & { currency: string | undefined }) {
  const { plan } = useSheet();
  const { lengths } = usePreferences();
  return (
    <thead>
      <tr className="text-small text-soft [&>th]:sticky [&>th]:top-0 [&>th]:z-10 [&>th]:border-b [&>th]:border-hairline [&>th]:bg-paper [&>th]:py-1 [&>th]:font-normal">
        <th scope="col">
          <span className="sr-only">verdict</span>
        </th>
        <th scope="col" className="text-left">
          cable for {timesOf(plan) > 1 ? `${timesOf(plan)} × ` : 'the '}
          {lengthText(candidateLengthM(plan), lengths)}
        </th>
        {bandsOf(plan).map((band, i) => (
          <BandHead key={band.id ?? i} band={band} index={i} roomy={roomy} />
        ))}
        <th scope="col" className="pr-3 text-right whitespace-nowrap">
          cost{currency ? `, ${currency}` : ''}
        </th>
        {extras.map((extra) => (
          <th key={extra} scope="col" className="pr-3 text-right">
            {HEADS[extra]()}
          </th>
        ))}
        <th scope="col">
          <span className="sr-only">first reason</span>
        </th>
      </tr>
    </thead>
  );
}

function BandHead({ band, index, roomy }: { band: Band; index: number; roomy: boolean }) {
  const { plan, focus, focusBand } = useSheet();
  const { reading } = usePreferences();
  const unit = unitOf(shownReading(reading, powerOn(plan, band) !== null));
  return (
    <th
      scope="col"
      className={`${roomy || index === focus ? 'pr-3' : 'pr-0.5'} text-right ${index === focus ? '!font-semibold text-ink' : ''}`}
    >
      <button type="button" onClick={() => focusBand(index)} className="max-w-full truncate">
        {bandName(band)}
        {(roomy || index === focus) && `, ${unit}`}
      </button>
    </th>
  );
}
