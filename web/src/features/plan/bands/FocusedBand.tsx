import { Choice, Fact, OpensInPlace, QuantityField } from '../../../ui';
import { frequencyText, nameAfter, plain } from '../../../units';
import { words } from '../../../words';
import type { Band, Matching } from '../document/model';
import { portsOf } from '../document/branches';
import { bandName, bandsOf, matchingOn, runOf, usualMatching } from '../document/model';
import { useSheet } from '../sheetContext';
import { LoadFields } from './LoadFields';
import { LoadFile } from './LoadFile';

const MATCHINGS = (['AT_RADIO', 'AT_ANTENNA', 'NONE'] as const).map((value) => ({
  value,
  text: words.matching[value],
}));

/** A band that is edited: its frequency, its antenna, its matching, and what else there is of it. */
export function FocusedBand({ band, index }: { band: Band; index: number }) {
  const { plan, command, trouble } = useSheet();
  return (
    <span className="flex flex-wrap items-baseline gap-x-2 text-fine">
      <QuantityField
        label="frequency"
        keptAs={`frequency ${band.id ?? index}`}
        kind="frequency"
        unit="mhz"
        unitLabel="MHz"
        value={band.frequencyMHz}
        show={(v) => plain(v)}
        say={frequencyText}
        onCommit={(frequencyMHz) =>
          command({
            do: 'setFrequency',
            band: index,
            frequencyMHz,
            matching: matchingAt(band, frequencyMHz),
            name: nameAfter(band.name, band.frequencyMHz ?? 0, frequencyMHz),
          })
        }
        onTrouble={(message) => trouble('frequency', message)}
      />
      <LoadFields
        band={band}
        index={index}
        onChange={(load) => command({ do: 'changeBand', band: index, change: { load } })}
      />
      <Choice<Matching>
        label="matching"
        value={matchingOn(plan, band)}
        options={MATCHINGS}
        onChange={(matching) => command({ do: 'setMatching', band: index, matching })}
      />
      <Branch band={band} index={index} />
      <MoreOfBand band={band} index={index} />
    </span>
  );
}

/** Through which branch it goes, where the run forks. */
function Branch({ band, index }: { band: Band; index: number }) {
  const { plan, command } = useSheet();
  const ports = portsOf(runOf(plan));
  if (ports.length === 0) return null;
  return (
    <Choice
      label="branch"
      value={band.branch ?? ''}
      options={ports.map((p) => ({ value: p.branch, text: p.name ?? p.branch }))}
      onChange={(branch) => command({ do: 'changeBand', band: index, change: { branch } })}
    />
  );
}

/** What is seldom said of a band: the gain of its antenna, an antenna out of a file; and how it is taken out. */
function MoreOfBand({ band, index }: { band: Band; index: number }) {
  const { plan, command, trouble, focusBand } = useSheet();
  return (
    <OpensInPlace
      label={`more about ${bandName(band)}`}
      text="more"
      className="quiet min-h-6"
      width={420}
    >
      {(close) => (
        <>
          <Fact label="gain of the antenna">
            <QuantityField
              label="antenna gain"
              keptAs={`gain ${band.id ?? index}`}
              kind="gain"
              unit="dbi"
              unitLabel="dBi"
              value={band.antennaGainDbi ?? 0}
              show={(v) => plain(v, 1)}
              say={(v) => `${plain(v, 1)} dBi`}
              onCommit={(antennaGainDbi) =>
                command({ do: 'changeBand', band: index, change: { antennaGainDbi } })
              }
              onTrouble={(message) => trouble('gain', message)}
            />
          </Fact>
          <LoadFile onDone={close} />
          {bandsOf(plan).length > 1 && (
            <button
              type="button"
              className="quiet border-t border-hairline pt-2 text-left"
              onClick={() => {
                close();
                command({ do: 'removeBand', band: index });
                focusBand(Math.max(0, index - 1));
              }}
            >
              Remove {bandName(band)}
            </button>
          )}
        </>
      )}
    </OpensInPlace>
  );
}

/** A matching that was as usual at the old frequency becomes as usual at the new one; any other stays. */
function matchingAt(band: Band, frequencyMHz: number): Matching {
  const wasUsual = band.matching === usualMatching(band.frequencyMHz ?? frequencyMHz);
  return wasUsual || !band.matching ? usualMatching(frequencyMHz) : band.matching;
}
