import { useMemo, useState } from 'react';
import type { CableType } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Fact, followPointer, OpensInPlace, QuantityField } from '../../../ui';
import { levelText, plain, shownReading } from '../../../units';
import { words } from '../../../words';
import type { Command } from '../document/commands';
import type { Band, Matching, Plan } from '../document/model';
import { bandName, bandsOf, matchingLossOn, matchingOn, powerOn, radioOf } from '../document/model';
import { detailRequest } from '../ledger/useRows';
import { MIDDLE } from './marks';

const PLACES = ['AT_RADIO', 'AT_ANTENNA', 'NONE'] as const;

/** What the interface takes where nothing is said. */
const USUAL_RANGE_SWR = 3;

const SIZE = 26;

interface Props {
  plan: Plan;
  catalogue: CableType[];
  rowId: string | null;
  focus: number;
  /** Left edge where it stands at the radio, and at the antenna, px. */
  radioX: number;
  antennaX: number;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** The matching unit, where it stands; it is dragged to the other end, or opened, with what each place would bring. */
export function MatchingMark(props: Props) {
  const { plan, focus, radioX, antennaX, onCommand } = props;
  const band = bandsOf(plan)[focus];
  const matching = matchingOn(plan, band);
  const home = matching === 'AT_ANTENNA' ? antennaX : radioX;
  const [byPx, setByPx] = useState<number | null>(null);
  const placeFor = (px: number): Matching =>
    home + px > (radioX + antennaX) / 2 ? 'AT_ANTENNA' : 'AT_RADIO';
  const x = home + (byPx ?? 0);

  function grab(e: React.PointerEvent) {
    if ((e.target as HTMLElement).closest('[role=group]') || e.button !== 0) return;
    let last = 0;
    followPointer(
      e,
      (px) => {
        last = px;
        setByPx(px);
      },
      (isDrag) => {
        setByPx(null);
        const target = placeFor(last);
        if (isDrag && target !== matching) {
          onCommand({ do: 'setMatching', band: focus, matching: target });
        }
      },
    );
  }

  return (
    <>
      <div
        className="absolute touch-none"
        style={{ left: x, top: MIDDLE - SIZE / 2, width: SIZE, height: SIZE }}
        onPointerDown={grab}
      >
        <OpensInPlace
          label={`matching unit: ${words.matching[matching]}`}
          text={<UnitDrawing isThere={matching !== 'NONE'} />}
          className="block h-full w-full"
          width={300}
        >
          {() => <Places {...props} band={band} matching={matching} />}
        </OpensInPlace>
      </div>
      {byPx !== null && (
        <div
          className="absolute z-10 border border-blue bg-paper px-2 py-1 whitespace-nowrap"
          style={{ left: Math.max(0, x - 60), top: MIDDLE + 24 }}
        >
          <Outcomes {...props} matching={placeFor(byPx)} band={band} />
        </div>
      )}
    </>
  );
}

/** A box with an arrow through it, as on a circuit; dashed where there is none. */
function UnitDrawing({ isThere }: { isThere: boolean }) {
  return (
    <svg width={SIZE} height={SIZE} aria-hidden="true">
      <rect
        x="1"
        y="1"
        width={SIZE - 2}
        height={SIZE - 2}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeDasharray={isThere ? undefined : '3 3'}
        strokeOpacity={isThere ? 1 : 0.6}
      />
      {isThere && (
        <path
          d="M6 20 20 6m-6 0h6v6M7 9h6M7 13h6"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.25"
        />
      )}
    </svg>
  );
}

function Places(props: Props & { band: Band | undefined; matching: Matching }) {
  const { plan, focus, band, onCommand, onTrouble } = props;
  const isThere = matchingOn(plan, band) !== 'NONE';
  return (
    <>
      <p className="text-small text-soft">matching unit on {bandName(band)}</p>
      <Outcomes
        {...props}
        onChoose={(matching) => onCommand({ do: 'setMatching', band: focus, matching })}
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
              onCommand({ do: 'changeRadio', change: { matchesUpToSwr } })
            }
            onTrouble={(message) => onTrouble('matching range', message)}
          />
        </Fact>
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
              onCommand({ do: 'changeBand', band: focus, change: { matchingLossDb } })
            }
            onTrouble={(message) => onTrouble('matching loss', message)}
          />
        </Fact>
      )}
    </>
  );
}

/** What arrives with the unit at either end, and without one. */
function Outcomes({
  plan,
  catalogue,
  rowId,
  focus,
  band,
  matching,
  onChoose,
}: Props & {
  band: Band | undefined;
  matching: Matching;
  onChoose?: (matching: Matching) => void;
}) {
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
        <p className="text-fine text-soft">
          An SWR read at the radio says nothing about the antenna once a unit stands there: give the
          antenna&rsquo;s own SWR first.
        </p>
      )}
    </>
  );
}
