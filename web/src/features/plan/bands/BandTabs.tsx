import { useEffect, useRef } from 'react';
import type { BandAssessment, Row } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Choice, Fact, OpensInPlace, QuantityField, TextField, VerdictMark } from '../../../ui';
import { figureOf, frequencyText, plain, shownReading, unitOf } from '../../../units';
import { words } from '../../../words';
import { AddBand } from './AddBand';
import { LoadFields } from './LoadFields';
import { LoadFile } from './LoadFile';
import { loadText } from './loads';
import type { Command } from '../document/commands';
import type { Band, Matching, Plan } from '../document/model';
import {
  bandName,
  bandsOf,
  matchingOn,
  MOST_BANDS,
  powerOn,
  usualMatching,
} from '../document/model';

const MATCHINGS = (['AT_RADIO', 'AT_ANTENNA', 'NONE'] as const).map((value) => ({
  value,
  text: words.matching[value],
}));

interface Props {
  plan: Plan;
  focus: number;
  row: Row | undefined;
  /** The row on the band in focus. */
  assessment: BandAssessment | undefined;
  stale: boolean;
  onFocus: (band: number) => void;
  /** A band that was just added gets the focus. */
  onAdded: (bandId: string) => void;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** One tab a band with what arrives there; the band in focus is edited in its own tab. */
export function BandTabs(props: Props) {
  const { plan, focus, row, stale, onFocus, onAdded, onCommand } = props;
  const { reading } = usePreferences();
  const strip = useRef<HTMLDivElement>(null);
  const bands = bandsOf(plan);

  useEffect(() => {
    strip.current
      ?.querySelector('[data-focus=true]')
      ?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [focus, row?.id, reading]);

  return (
    <section
      aria-label="bands"
      ref={strip}
      className="flex shrink-0 items-stretch overflow-x-auto border-b border-hairline"
    >
      {bands.map((band, i) => {
        const cell = row?.cells[i];
        const level =
          cell && cell.totalLossDb !== null
            ? { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW }
            : null;
        const sends = powerOn(plan, band) !== null;
        const shown = shownReading(reading, sends);
        return (
          <div
            key={band.id ?? i}
            data-focus={i === focus}
            className={`flex shrink-0 flex-col justify-center border-r border-b-[3px] border-r-hairline px-3 py-1 ${
              i === focus ? 'border-b-blue' : 'border-b-transparent'
            }`}
          >
            <TabHead
              as={i === focus ? 'div' : 'button'}
              {...(i !== focus && { type: 'button', onClick: () => onFocus(i) })}
              className="flex min-h-6 items-baseline gap-2 text-left whitespace-nowrap"
            >
              {cell && <VerdictMark verdict={cell.verdict} />}
              {i === focus ? (
                <TextField
                  label="name of the band"
                  value={band.name ?? ''}
                  className="w-[9ch] font-semibold"
                  onCommit={(name) => onCommand({ do: 'renameBand', band: i, name })}
                />
              ) : (
                <span className="font-semibold">{bandName(band)}</span>
              )}
              <span
                className={`figures ml-auto pl-3 font-medium ${sends ? 'text-copper-text' : ''} ${stale ? 'opacity-40' : ''}`}
              >
                {level ? `${figureOf(level, shown)} ${unitOf(shown)}` : '–'}
              </span>
            </TabHead>
            {i === focus ? (
              <FocusedBand {...props} band={band} index={i} />
            ) : (
              <span className="text-small whitespace-nowrap text-soft">
                {frequencyText(band.frequencyMHz ?? 0)} · {loadText(band.load)}
              </span>
            )}
          </div>
        );
      })}
      {bands.length < MOST_BANDS && <AddBand plan={plan} onAdded={onAdded} onCommand={onCommand} />}
    </section>
  );
}

/** The head of a tab: something to press, or in the tab in focus something to edit. */
function TabHead({
  as: Tag,
  ...rest
}: { as: 'div' | 'button' } & React.ComponentProps<'button'> & React.ComponentProps<'div'>) {
  return <Tag {...(rest as object)} />;
}

function FocusedBand({
  plan,
  band,
  index,
  assessment,
  onFocus,
  onCommand,
  onTrouble,
}: Props & { band: Band; index: number }) {
  const many = bandsOf(plan).length > 1;
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
          onCommand({
            do: 'setFrequency',
            band: index,
            frequencyMHz,
            matching: matchingAt(band, frequencyMHz),
          })
        }
        onTrouble={(message) => onTrouble('frequency', message)}
      />
      <LoadFields
        band={band}
        index={index}
        assessment={assessment}
        onChange={(load) => onCommand({ do: 'changeBand', band: index, change: { load } })}
        onTrouble={onTrouble}
      />
      <Choice<Matching>
        label="matching"
        value={matchingOn(plan, band)}
        options={MATCHINGS}
        onChange={(matching) => onCommand({ do: 'setMatching', band: index, matching })}
      />
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
                  onCommand({ do: 'changeBand', band: index, change: { antennaGainDbi } })
                }
                onTrouble={(message) => onTrouble('gain', message)}
              />
            </Fact>
            <LoadFile plan={plan} onCommand={onCommand} onDone={close} />
            {many && (
              <button
                type="button"
                className="quiet border-t border-hairline pt-2 text-left"
                onClick={() => {
                  close();
                  onCommand({ do: 'removeBand', band: index });
                  onFocus(Math.max(0, index - 1));
                }}
              >
                take {bandName(band)} out
              </button>
            )}
          </>
        )}
      </OpensInPlace>
    </span>
  );
}

/** A matching that was as usual at the old frequency becomes as usual at the new one; any other stays. */
function matchingAt(band: Band, frequencyMHz: number): Matching {
  const wasUsual = band.matching === usualMatching(band.frequencyMHz ?? frequencyMHz);
  return wasUsual || !band.matching ? usualMatching(frequencyMHz) : band.matching;
}
