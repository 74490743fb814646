import { useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { useWidth } from '../../../ui';
import { shownReading } from '../../../units';
import { isAside } from '../document/branches';
import { cableOf, MOST_ELEMENTS, powerOn, runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { AddHere } from './AddHere';
import { Arriving } from './Arriving';
import { gapLabel, PlusMark } from './gaps';
import { BOTTOM, FULL, TOP } from './marks';
import { MatchingMark } from './MatchingMark';
import { PointReading } from './PointReading';
import { RadioBox } from './RadioBox';
import type { PlaceOnRibbon } from './RibbonDrawing';
import { RibbonDrawing } from './RibbonDrawing';
import { RibbonLabels } from './RibbonLabels';
import { LEAST_WIDTH, levelsOf, sizedOn, slotsOf, trueScale } from './ribbonLayout';
import { ANTENNA_WIDTH, endOf, LEAST_RUN_WIDTH, RADIO_WIDTH, RUN_LEFT } from './ribbonPlaces';
import { RunTable } from './RunTable';
import { TrueScale } from './TrueScale';
import type { RunDrag } from './useRunDrag';
import { useRunDrag } from './useRunDrag';
import { useWalk } from './useWalk';
import { sentences } from '../../../words';

/** The run from radio to antenna: its thickness is the power, the hatching is what became heat. */
export function Ribbon() {
  const { plan, band, assessment, profile, command } = useSheet();
  const { reading } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const run = runOf(plan);
  const walk = useWalk(run.length, command, cableOf(run), (i) => isAside(run[i], band));
  const sized = sizedOn(run, band);
  const [asTable, setAsTable] = useState(false);
  const [place, setPlace] = useState<PlaceOnRibbon | null>(null);
  const runWidth = Math.max(
    LEAST_RUN_WIDTH,
    LEAST_WIDTH * sized.filter((_, i) => !isAside(run[i], band)).length,
    width - RUN_LEFT - ANTENNA_WIDTH,
  );
  const drag = useRunDrag(sized, slotsOf(sized, runWidth), command);
  const radioW = powerOn(plan, band);
  const shown = shownReading(reading, radioW !== null);
  const end = RUN_LEFT + endOf(drag.slots, runWidth);

  return (
    <section
      aria-label="run"
      className="group/run shrink-0 overflow-x-auto border-b border-hairline px-4 pt-1 pb-2 print:overflow-visible"
    >
      <div ref={box} className="relative">
        <RibbonDrawing drag={drag} runWidth={runWidth} place={place} onPlace={setPlace} />
        {place && radioW !== null && (
          <p
            className="figures pointer-events-none absolute z-10 border border-hairline bg-paper px-1.5 text-small whitespace-nowrap"
            style={{ left: RUN_LEFT + Math.min(place.x + 6, runWidth - 120), top: BOTTOM - 20 }}
          >
            <PointReading place={place} profile={profile} radioW={radioW} shown={shown} />
          </p>
        )}
        <RadioBox width={RADIO_WIDTH} />
        {radioW !== null && <MatchingMark radioX={RADIO_WIDTH + 5} antennaX={end + 30} />}
        <Arriving shown={shown} left={end + 62} />
        <Handles drag={drag} />
        {run.length < MOST_ELEMENTS && (
          <Gaps drag={drag} runWidth={runWidth} current={walk.current} />
        )}
        <RibbonLabels drag={drag} walk={walk} runWidth={runWidth} />
        <TrueScale spans={trueScale(sized)} left={RUN_LEFT} width={runWidth} />
        <button
          type="button"
          aria-expanded={asTable}
          className="quiet absolute bottom-0 left-0 text-small print:hidden"
          onClick={() => setAsTable(!asTable)}
        >
          {asTable ? 'Hide the table' : 'Show as a table'}
        </button>
      </div>
      {run.length === 0 && <p className="text-soft">{sentences.emptyRun}</p>}
      {asTable && (
        <RunTable levels={assessment ? levelsOf(assessment, radioW) : []} shown={shown} />
      )}
    </section>
  );
}

/** Where a line is drawn longer or shorter. */
function Handles({ drag }: { drag: RunDrag }) {
  const { plan, band } = useSheet();
  const run = sizedOn(runOf(plan), band);
  return drag.slots.map(
    (slot, i) =>
      run[i]?.kind === 'LINE' && (
        <div
          key={i}
          title="draw it longer or shorter"
          className="absolute w-3 cursor-ew-resize touch-none hover:bg-blue/40"
          style={{ left: RUN_LEFT + slot.x + slot.width - 6, top: TOP, height: FULL }}
          onPointerDown={(e) => drag.stretch(i, e)}
        />
      ),
  );
}

/** Where something is put between two elements, or at an end. */
function Gaps({
  drag,
  runWidth,
  current,
}: {
  drag: RunDrag;
  runWidth: number;
  /** The element that Tab stops at; the gap behind it is the one that it stops at, too. */
  current: number;
}) {
  const sheet = useSheet();
  const run = runOf(sheet.plan);
  return [...drag.slots.map((s) => s.x), endOf(drag.slots, runWidth)].map((x, at) =>
    isAside(run[at], sheet.band) ? null : (
      <span key={at} className="absolute top-0" style={{ left: RUN_LEFT + x - 12 }}>
        <AddHere
          at={at}
          label={gapLabel(sheet, at)}
          text={<PlusMark />}
          isStop={at === current + 1}
          className="flex h-6 w-6 items-center justify-center text-soft opacity-0 group-focus-within/run:opacity-100 group-hover/run:opacity-100 hover:text-blue focus:opacity-100 print:hidden"
        />
      </span>
    ),
  );
}
