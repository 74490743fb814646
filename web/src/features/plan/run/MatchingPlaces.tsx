import { useMemo } from 'react';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Fact, QuantityField } from '../../../ui';
import { levelText, plain, powerText, shownReading } from '../../../units';
import { sentences, words } from '../../../words';
import type { Matching } from '../document/model';
import { bandName, matchingLossOn, matchingOn, powerOn, radioOf } from '../document/model';
import { detailRequest } from '../ledger/useRows';
import { useSheet } from '../sheetContext';

const PLACES = ['AT_RADIO', 'AT_ANTENNA', 'NONE'] as const;

/** What the interface takes where nothing is said. */
const USUAL_RANGE_SWR = 3;

/** What it is moved to and what is said of it. */
export function Places({ matching }: { matching: Matching }) {
  const { plan, focus, band, command, trouble } = useSheet();
  const isThere = matchingOn(plan, band) !== 'NONE';
  return (
    <>
      <p className="text-small text-soft">matching unit on {bandName(band)}</p>
      <Outcomes
        matching={matching}
        onChoose={(to) => command({ do: 'setMatching', band: focus, matching: to })}
      />
      {isThere && (
        <Fact label="it copes with an SWR of up to">
          <QuantityField
            label="SWR that the matching unit copes with"
            keptAs="matches up to"
            kind="swr"
            unit=""
            unitLabel=""
            value={radioOf(plan).matchesUpToSwr ?? USUAL_RANGE_SWR}
            show={(v) => plain(v)}
            say={(v) => plain(v)}
            onCommit={(matchesUpToSwr) =>
              command({ do: 'changeRadio', change: { matchesUpToSwr } })
            }
            onTrouble={(message) => trouble('matching range', message)}
          />
        </Fact>
      )}
      {isThere && radioOf(plan).matchesUpToSwr === undefined && (
        <p className="text-small text-soft">{sentences.assumedRange}</p>
      )}
      {isThere && (
        <Fact label="it bears on average">
          <QuantityField
            label="average power that the matching unit bears"
            keptAs="unit bears"
            kind="power"
            unit="w"
            unitLabel="W"
            value={radioOf(plan).matchingAveragePowerW}
            show={(v) => plain(v)}
            say={powerText}
            onCommit={(matchingAveragePowerW) =>
              command({ do: 'changeRadio', change: { matchingAveragePowerW } })
            }
            onTrouble={(message) => trouble('unit bears', message)}
          />
        </Fact>
      )}
      {isThere && (
        <label className="flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={radioOf(plan).matchingIsBalanced === true}
            onChange={(e) =>
              command({ do: 'changeRadio', change: { matchingIsBalanced: e.target.checked } })
            }
          />
          a balanced line may be joined to it
        </label>
      )}
      {isThere && (
        <Fact label="the unit itself loses">
          <QuantityField
            label="loss of the matching unit"
            keptAs={`unit ${band?.id ?? focus}`}
            kind="elementLoss"
            unit="db"
            unitLabel="dB"
            value={matchingLossOn(plan, band)}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} dB`}
            onCommit={(matchingLossDb) =>
              command({ do: 'changeBand', band: focus, change: { matchingLossDb } })
            }
            onTrouble={(message) => trouble('matching loss', message)}
          />
        </Fact>
      )}
    </>
  );
}

/** What arrives with the unit at either end, and without one. */
export function Outcomes({
  matching,
  onChoose,
}: {
  matching: Matching;
  onChoose?: (matching: Matching) => void;
}) {
  const { plan, catalogue, rowId, focus, band } = useSheet();
  const { reading, settings } = usePreferences();
  const shown = shownReading(reading, powerOn(plan, band) !== null);
  const isReadAtRadio = band?.load?.swrAtRadio !== undefined;
  const places = useMemo(
    () => (isReadAtRadio ? PLACES.filter((p) => p !== 'AT_ANTENNA') : [...PLACES]),
    [isReadAtRadio],
  );
  const request = useMemo(() => {
    if (rowId === null || !band) return null;
    const one = detailRequest(plan, catalogue, rowId, focus, false, settings.tolerances);
    return { ...one, bands: places.map((m) => ({ ...band, matching: m })), details: [] };
  }, [plan, catalogue, rowId, focus, band, places, settings.tolerances]);
  const row = useLedger(request).data?.rows.find((r) => r.id === rowId);
  return (
    <>
      {places.map((place, i) => {
        const cell = row?.cells[i];
        const arrives =
          cell && cell.totalLossDb !== null
            ? levelText({ lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW }, shown)
            : '–';
        const line = (
          <>
            <span>{words.matching[place]}</span>
            <span className="figures font-semibold">{arrives}</span>
          </>
        );
        return onChoose ? (
          <button
            key={place}
            type="button"
            aria-pressed={place === matching}
            className={`flex min-h-6 items-baseline justify-between gap-4 border px-2 py-0.5 text-left max-[899px]:min-h-11 ${place === matching ? 'border-ink' : 'border-control'}`}
            onClick={() => onChoose(place)}
          >
            {line}
          </button>
        ) : (
          <p
            key={place}
            className={`flex justify-between gap-4 ${place === matching ? 'font-semibold text-blue' : 'text-soft'}`}
          >
            {line}
          </p>
        );
      })}
      {isReadAtRadio && onChoose && (
        <p className="text-fine text-soft">{sentences.readAtTheRadioOnly}</p>
      )}
    </>
  );
}
