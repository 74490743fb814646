import { useEffect, useRef } from 'react';
import { usePreferences } from '../../../app/preferences';
import { TextField, VerdictMark } from '../../../ui';
import { figureOf, frequencyText, shownReading, unitOf } from '../../../units';
import { bandName, bandsOf, MOST_BANDS, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';
import { AddBand } from './AddBand';
import { FocusedBand } from './FocusedBand';
import { loadText } from './loads';

/** Along the strip only: the page stays where it is, with the answer at its top. */
function bringIntoSight(box: HTMLElement, tab: Element) {
  const there = tab.getBoundingClientRect();
  const seen = box.getBoundingClientRect();
  if (there.left < seen.left) box.scrollLeft -= seen.left - there.left;
  else if (there.right > seen.right) {
    box.scrollLeft += Math.min(there.right - seen.right, there.left - seen.left);
  }
}

/** One tab a band with what arrives there; the band in focus is edited in its own tab. */
export function BandTabs() {
  const { plan, focus, row, stale, focusBand, command } = useSheet();
  const { reading } = usePreferences();
  const strip = useRef<HTMLDivElement>(null);
  const bands = bandsOf(plan);

  useEffect(() => {
    const box = strip.current;
    const tab = box?.querySelector('[data-focus=true]');
    if (box && tab) bringIntoSight(box, tab);
  }, [focus, row?.id, reading]);

  return (
    <section
      aria-label="bands"
      ref={strip}
      className="more-beyond flex shrink-0 items-stretch overflow-x-auto border-b border-hairline"
    >
      {bands.map((band, i) => {
        const cell = row?.cells.find((c) => c.bandId === band.id) ?? row?.cells[i];
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
              {...(i !== focus && { type: 'button', onClick: () => focusBand(i) })}
              className="flex min-h-6 items-baseline gap-2 text-left whitespace-nowrap"
            >
              {cell && <VerdictMark verdict={cell.verdict} />}
              {i === focus ? (
                <TextField
                  label="name of the band"
                  value={band.name ?? ''}
                  className="w-[9ch] font-semibold"
                  onCommit={(name) => command({ do: 'renameBand', band: i, name })}
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
              <FocusedBand band={band} index={i} />
            ) : (
              <span className="text-small whitespace-nowrap text-soft">
                {frequencyText(band.frequencyMHz ?? 0)} · {loadText(band.load)}
              </span>
            )}
          </div>
        );
      })}
      {bands.length < MOST_BANDS ? (
        <AddBand />
      ) : (
        <p className="flex shrink-0 items-center px-4 text-fine text-soft">
          {MOST_BANDS} bands are as many as a ledger holds: remove one to add another.
        </p>
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
