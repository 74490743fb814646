import { usePreferences } from '../../../app/preferences';
import { OpensInPlace } from '../../../ui';

const COLUMNS = [
  ['LOST', 'percent lost on the band in focus'],
  ['MASS', 'mass'],
  ['ACROSS', 'how thick it is'],
] as const;

/** Which columns the ledger always has. */
export function Columns() {
  const { settings, change } = usePreferences();
  const shown = settings.ledgerColumns;
  return (
    <OpensInPlace label="columns of the ledger" text="Columns" className="quiet">
      {() =>
        COLUMNS.map(([column, text]) => (
          <label key={column} className="flex min-h-6 items-baseline gap-2">
            <input
              type="checkbox"
              checked={shown.includes(column)}
              onChange={(e) =>
                change({
                  ledgerColumns: e.target.checked
                    ? [...shown, column]
                    : shown.filter((c) => c !== column),
                })
              }
            />
            {text}
          </label>
        ))
      }
    </OpensInPlace>
  );
}
