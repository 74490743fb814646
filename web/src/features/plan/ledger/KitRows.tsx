import { useState } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../../app/preferences';
import { lengthText } from '../../../units';
import { leftOutText } from '../../../words';
import { useSheet } from '../sheetContext';
import { KitRow } from './KitRow';
import { bestFirst, kitName } from './kits';
import type { LedgerLayout } from './ledgerLayout';
import { useOwnKits } from './useOwnKits';

/** What I have, above what I could buy: the run made of pieces of the locker, its joints counted. */
export function KitRows(layout: LedgerLayout) {
  const { plan } = useSheet();
  const { lengths } = usePreferences();
  const [open, setOpen] = useState(false);
  const { found, isAwaited } = useOwnKits(plan);
  if (isAwaited) return <Awaited {...layout} />;
  if (!found) return null;
  const kits = bestFirst(found.kits);
  const more = kits.length - 1;
  return (
    <tbody data-testid="what-i-have" className="print:hidden">
      {(open ? kits : kits.slice(0, 1)).map((kit) => (
        <KitRow key={kitName(kit)} {...layout} kit={kit} />
      ))}
      <tr>
        <td
          colSpan={layout.columns}
          className="border-b border-control px-3 pb-1 text-small text-soft"
        >
          {kits.length === 0 ? (
            <>
              What you have does not reach: {lengthText(found.shortByM ?? 0, lengths)} short of{' '}
              {lengthText(found.wantedM, lengths)}.{' '}
            </>
          ) : (
            'What you have, with its joints; below it what you could buy. '
          )}
          {open && leftOutText(found)}{' '}
          {more > 0 && (
            <button
              type="button"
              className="quiet"
              aria-expanded={open}
              onClick={() => setOpen(!open)}
            >
              {open ? 'Show only the first' : `Show ${more} other ${more === 1 ? 'way' : 'ways'}`}
            </button>
          )}{' '}
          <Link className="quiet underline" to="/locker">
            locker
          </Link>
        </td>
      </tr>
    </tbody>
  );
}

/** As high as what comes: the cables below do not move under the hand when it is there. */
function Awaited({ columns }: LedgerLayout) {
  return (
    <tbody className="print:hidden">
      <tr>
        <td
          colSpan={columns}
          className="h-[55px] border-b border-control px-3 pb-1 align-bottom text-small text-soft"
        >
          Looking through what you have …
        </td>
      </tr>
    </tbody>
  );
}
