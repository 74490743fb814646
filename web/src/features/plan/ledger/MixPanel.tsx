import type { Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, Select, VerdictMark, verdictColour } from '../../../ui';
import { lengthFigure, lengthText, moneyFigure } from '../../../units';
import { rowSummary, sentences } from '../../../words';
import { laid } from './mix';
import { bandName, bandsOf, candidateLengthM, ownCablesOf, preferenceOf } from '../document/model';
import { partsWith } from '../run/parts';
import { useSheet } from '../sheetContext';
import type { Mixes } from './useMixes';
import { useMixes } from './useMixes';

/** Two cables for one run: thick to the mast, and a flexible tail. */
export function MixPanel() {
  const { plan, command, address } = useSheet();
  const { lengths } = usePreferences();
  const mixes = useMixes();
  const { found, stopped } = mixes;
  return (
    <section
      aria-label="mixes"
      className="flex shrink-0 flex-col gap-1.5 print:hidden border-b border-hairline bg-raised px-4 py-2"
    >
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-semibold">A mix:</span>
        {mixes.isSplit ? (
          <span>another cable in each section that is up for choice.</span>
        ) : (
          <Tail mixes={mixes} />
        )}
        <button
          type="button"
          className="quiet ml-auto"
          onClick={() => address.put({ mix: undefined })}
        >
          Close
        </button>
      </p>
      {mixes.isTooLong && (
        <p role="alert" className="text-fail">
          The tail must be shorter than the {lengthText(candidateLengthM(plan), lengths)} that are
          up for choice.
        </p>
      )}
      <Progress mixes={mixes} />
      {found && !stopped && (
        <>
          <ol className="flex flex-col">
            {found.rows.map((row) => (
              <Mix
                key={row.id}
                row={row}
                onLay={() => {
                  command({ do: 'pick', run: laid(mixes.run, row, ownCablesOf(plan)) });
                  address.put({ row: undefined, mix: undefined });
                }}
              />
            ))}
          </ol>
          <p className="text-small text-soft">
            {found.proven
              ? 'No other mix is better.'
              : 'The best of what was tried; there may be better ones.'}
          </p>
        </>
      )}
    </section>
  );
}

/** How long the tail is, and what joins it. */
function Tail({ mixes }: { mixes: Mixes }) {
  const { connectors } = useSheet();
  const { lengths } = usePreferences();
  return (
    <>
      <span className="text-soft">a tail of</span>
      <QuantityField
        label="length of the tail"
        kind="length"
        unit={lengths}
        unitLabel={lengths}
        value={mixes.tailM}
        least={0.1}
        show={(v) => lengthFigure(v, lengths)}
        say={(v) => lengthText(v, lengths)}
        onCommit={mixes.setTailM}
      />
      <span className="text-soft">at the antenna, joined by</span>
      <Select
        label="connector of the tail"
        value={mixes.connectorKey}
        options={connectors.map((c) => ({ value: c.key, text: c.name }))}
        onChange={mixes.setConnectorKey}
      />
      <span className="text-soft">{sentences.tailMoves}</span>
    </>
  );
}

/** A search that takes a while says so and can be stopped; one that failed says why. */
function Progress({ mixes }: { mixes: Mixes }) {
  if (mixes.error) {
    return (
      <p role="alert" className="text-fail">
        {mixes.error.message}.
      </p>
    );
  }
  if (mixes.stopped) {
    return (
      <p>
        Stopped.{' '}
        <button type="button" className="quiet" onClick={() => mixes.setStopped(false)}>
          Go on
        </button>
      </p>
    );
  }
  if (!mixes.isTrying) return null;
  return (
    <p role="status">
      Trying cables together …{' '}
      <button type="button" className="quiet" onClick={() => mixes.setStopped(true)}>
        stop
      </button>
    </p>
  );
}

function Mix({ row, onLay }: { row: Row; onLay: () => void }) {
  const sheet = useSheet();
  const { plan } = sheet;
  const { lengths } = usePreferences();
  const parts = row.assignment.map((a) => lengthText(a.lengthM, lengths)).join(' + ');
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1">
      <VerdictMark verdict={row.verdict} />
      <span className="font-semibold">{row.name}</span>
      <span className="figures text-fine text-soft">{parts}</span>
      <span className="figures">
        {row.cost ? `${moneyFigure(row.cost.amount)} ${row.cost.currency}` : 'no price'}
      </span>
      <span className={verdictColour(row.verdict)}>
        {rowSummary(
          row,
          false,
          preferenceOf(plan),
          bandsOf(plan).map(bandName),
          partsWith(row, sheet),
        )}
      </span>
      <button
        type="button"
        className="quiet ml-auto"
        aria-label={`Use ${row.name} in the run`}
        onClick={onLay}
      >
        Use this mix
      </button>
    </li>
  );
}
