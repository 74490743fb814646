import { HouseLink } from '../../../app/HouseLink';
import type { Row } from '../../../api';
import { verdictColour } from '../../../ui';
import { usePreferences } from '../../../app/preferences';
import { levelTeller, tied } from '../../../units';
import { reasonText, verdictByChance } from '../../../words';
import { bandName, bandsOf, ownCablesOf, powerOn } from '../document/model';
import { partsWith } from '../run/parts';
import { useSheet } from '../sheetContext';
import { CableFacts } from './CableFacts';
import { WhatItCosts } from './WhatItCosts';

/** What a row opens to: all its reasons, how it is kept in sight, and what is known of its cable. */
export function RowMore({ row }: { row: Row }) {
  const sheet = useSheet();
  const { plan, catalogue, address } = sheet;
  const parts = partsWith(row, sheet);
  const bands = bandsOf(plan);
  const type = catalogue.find((t) => t.key === row.id);
  return (
    <div className="grid gap-x-8 gap-y-1 px-10 py-2 text-fine min-[900px]:grid-cols-2">
      <div>
        {row.reasons.length === 0 ? (
          <p>Meets what was asked on every band.</p>
        ) : (
          <ul>
            {row.reasons.map((reason, i) => (
              <li key={i} className={verdictColour(reason.verdict)}>
                {reasonText(
                  reason,
                  reason.band === null ? '' : bandName(bands[reason.band]),
                  parts(reason),
                )}
              </li>
            ))}
          </ul>
        )}
        <HowManyWouldPass row={row} />
        <KeptInSight row={row} />
        {ownCablesOf(plan).some((c) => c.id === row.id) && (
          <button type="button" className="quiet" onClick={() => address.put({ own: row.id })}>
            Change or remove this figure of my own
          </button>
        )}
      </div>
      <div className="text-soft">
        {type ? <CableFacts type={type} row={row} /> : <p>A figure of your own.</p>}
        <WhatItCosts row={row} />
      </div>
    </div>
  );
}

/** What a verdict comes to with all that nobody knows exactly: most of all why something is marginal. */
function HowManyWouldPass({ row }: { row: Row }) {
  const { plan, focus, band, sureness } = useSheet();
  const { reading } = usePreferences();
  const sure = sureness.of(row.id);
  const middle = sure?.middle[focus];
  if (!sure || sure.passing === null || !middle) return null;
  const told = levelTeller(powerOn(plan, band), reading);
  return (
    <p>
      {verdictByChance(sure.passing, row.marginalByChance)}{' '}
      {tied(`On ${bandName(band)} ${told(middle.mostDb)} to ${told(middle.leastDb)} in 9 of 10.`)}
    </p>
  );
}

function KeptInSight({ row }: { row: Row }) {
  const { planId, rowId, address } = useSheet();
  const { filter, sift } = address;
  const isPinned = filter.pinned.includes(row.id);
  const isBase = row.id === filter.base;
  return (
    <span className="flex flex-wrap gap-x-4">
      <button
        type="button"
        className="quiet"
        aria-pressed={isPinned}
        onClick={() =>
          sift({
            pinned: isPinned
              ? filter.pinned.filter((id) => id !== row.id)
              : [...filter.pinned, row.id],
          })
        }
      >
        {isPinned ? 'Unpin it' : 'Pin it'}
      </button>
      <button
        type="button"
        className="quiet"
        aria-pressed={isBase}
        onClick={() => sift({ base: isBase ? null : row.id })}
      >
        {isBase ? 'Read figures as they are' : 'Read the others against it'}
      </button>
      {row.id !== rowId && (
        <HouseLink
          className="quiet"
          to={`/plans/compare?p=${planId}&p=${planId}~${encodeURIComponent(row.id)}`}
        >
          Set it beside what is in the run
        </HouseLink>
      )}
    </span>
  );
}
