import { useEffect, useRef } from 'react';
import type { Row } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Choice, QuantityField, TextField, VerdictMark } from '../../ui';
import { figureOf, frequencyText, plain, shownReading, unitOf } from '../../units';
import { words } from '../../words';
import { nextBand } from './bandPlan';
import type { Command } from './commands';
import type { Band, Matching, Plan } from './model';
import { band as newBand, bandName, bandsOf, MOST_BANDS, powerOn, usualMatching } from './model';

const MATCHINGS = (['AT_RADIO', 'NONE'] as const).map((value) => ({
  value,
  text: words.matching[value],
}));

interface Props {
  plan: Plan;
  focus: number;
  row: Row | undefined;
  stale: boolean;
  onFocus: (band: number) => void;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** One tab a band with what arrives there; the band in focus is edited in its own tab. */
export function BandTabs(props: Props) {
  const { plan, focus, row, stale, onFocus, onCommand } = props;
  const { reading, settings } = usePreferences();
  const strip = useRef<HTMLDivElement>(null);
  const bands = bandsOf(plan);

  useEffect(() => {
    strip.current
      ?.querySelector('[data-focus=true]')
      ?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [focus, row?.id, reading]);

  function add() {
    const usual = nextBand(
      bands.map((b) => b.frequencyMHz ?? 0),
      settings.region,
    );
    onCommand({ do: 'addBand', band: newBand(usual.name, usual.frequencyMHz) });
    onFocus(bands.length);
  }

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
              <span className="text-[11px] whitespace-nowrap text-soft">
                {frequencyText(band.frequencyMHz ?? 0)} · SWR {plain(band.load?.swr ?? 1, 2)}
              </span>
            )}
          </div>
        );
      })}
      {bands.length < MOST_BANDS && (
        <button type="button" className="quiet shrink-0 px-4" onClick={add}>
          add a band
        </button>
      )}
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
  onFocus,
  onCommand,
  onTrouble,
}: Props & { band: Band; index: number }) {
  const many = bandsOf(plan).length > 1;
  return (
    <span className="flex flex-wrap items-baseline gap-x-2 text-[12px]">
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
      <span className="inline-flex items-baseline gap-1">
        <span className="text-[11px] text-soft">SWR at the antenna</span>
        <QuantityField
          label="SWR at the antenna"
          keptAs={`swr ${band.id ?? index}`}
          kind="swr"
          unit=""
          unitLabel=""
          value={band.load?.swr}
          show={(v) => plain(v)}
          say={(v) => plain(v)}
          onCommit={(swr) =>
            onCommand({ do: 'changeBand', band: index, change: { load: { swr } } })
          }
          onTrouble={(message) => onTrouble('swr', message)}
        />
      </span>
      <Choice<Matching>
        label="matching"
        value={band.matching ?? 'NONE'}
        options={MATCHINGS}
        onChange={(matching) => onCommand({ do: 'setMatching', band: index, matching })}
      />
      {many && (
        <button
          type="button"
          className="quiet min-h-6"
          onClick={() => {
            onCommand({ do: 'removeBand', band: index });
            onFocus(Math.max(0, index - 1));
          }}
        >
          remove
        </button>
      )}
    </span>
  );
}

/** A matching that was as usual at the old frequency becomes as usual at the new one; any other stays. */
function matchingAt(band: Band, frequencyMHz: number): Matching {
  const wasUsual = band.matching === usualMatching(band.frequencyMHz ?? frequencyMHz);
  return wasUsual || !band.matching ? usualMatching(frequencyMHz) : band.matching;
}
