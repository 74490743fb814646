import { usePreferences } from '../../../app/preferences';
import { VerdictMark, verdictColour } from '../../../ui';
import { lengthText } from '../../../units';
import { rowSummary } from '../../../words';
import { bandName, bandsOf, preferenceOf } from '../document/model';
import { partsWith } from '../run/parts';
import { useSheet } from '../sheetContext';
import { bestFirst, kitName, runWith } from './kits';
import { useOwnKits } from './useOwnKits';

/** What I have, above what I could buy, in one line for a phone. */
export function KitLine() {
  const sheet = useSheet();
  const { plan, command } = sheet;
  const { lengths } = usePreferences();
  const { found } = useOwnKits(plan);
  const best = found && bestFirst(found.kits)[0];
  if (!found) return null;
  return (
    <p
      data-testid="what-i-have"
      className="flex flex-wrap items-baseline gap-x-2 border-b border-hairline px-4 py-2 text-body print:hidden"
    >
      {best ? (
        <>
          <VerdictMark verdict={best.row.verdict} />
          <span>
            What you have: <span className="font-semibold">{kitName(best)}</span>
          </span>
          <span className={verdictColour(best.row.verdict)}>
            {rowSummary(
              best.row,
              false,
              preferenceOf(plan),
              bandsOf(plan).map(bandName),
              partsWith(best.row, sheet),
            )}
          </span>
          <button
            type="button"
            className="quiet"
            onClick={() => command({ do: 'pick', run: runWith(plan, best) })}
          >
            Use this kit
          </button>
        </>
      ) : (
        <span className="text-soft">
          What you have does not reach: {lengthText(found.shortByM ?? 0, lengths)} short.
        </span>
      )}
    </p>
  );
}
