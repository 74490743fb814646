import { useState } from 'react';
import { followPointer, OpensInPlace } from '../../../ui';
import { words } from '../../../words';
import type { Matching } from '../document/model';
import { matchingOn } from '../document/model';
import { useSheet } from '../sheetContext';
import { MIDDLE } from './marks';
import { Outcomes, Places } from './MatchingPlaces';

const SIZE = 26;

interface Props {
  /** Left edge where it stands at the radio, and at the antenna, px. */
  radioX: number;
  antennaX: number;
}

/** The matching unit, where it stands; it is dragged to the other end, or opened, with what each place would bring. */
export function MatchingMark({ radioX, antennaX }: Props) {
  const { plan, focus, band, command } = useSheet();
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
          command({ do: 'setMatching', band: focus, matching: target });
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
          {() => <Places matching={matching} />}
        </OpensInPlace>
      </div>
      {byPx !== null && (
        <div
          className="absolute z-10 border border-blue bg-paper px-2 py-1 whitespace-nowrap"
          style={{ left: Math.max(0, x - 60), top: MIDDLE + 24 }}
        >
          <Outcomes matching={placeFor(byPx)} />
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
