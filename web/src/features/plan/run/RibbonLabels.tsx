import { isAside } from '../document/branches';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { ElementLabel } from './ElementLabel';
import { RUN_LEFT } from './ribbonPlaces';
import type { RunDrag } from './useRunDrag';
import type { Walk } from './useWalk';

/** The names of the elements below the drawing, walked by the arrow keys and carried to other places. */
export function RibbonLabels({
  drag,
  walk,
  runWidth,
}: {
  drag: RunDrag;
  walk: Walk;
  runWidth: number;
}) {
  const { plan, band } = useSheet();
  const { slots, carried } = drag;
  return (
    <ol
      aria-label="elements from radio to antenna"
      className="relative h-[66px]"
      style={{ marginLeft: RUN_LEFT, width: runWidth }}
      onKeyDown={walk.onKeyDown}
    >
      {runOf(plan).map((element, i) =>
        isAside(element, band) ? null : (
          <li
            key={element.id ?? i}
            className={`absolute flex touch-none flex-col items-center text-center ${carried?.index === i ? 'z-10 cursor-grabbing bg-paper opacity-70' : ''}`}
            style={{
              left: slots[i]?.x ?? 0,
              width: slots[i]?.width ?? 0,
              transform: carried?.index === i ? `translateX(${carried.byPx}px)` : undefined,
            }}
            onFocus={() => walk.setCurrent(i)}
            onPointerDown={(e) => drag.carry(i, e)}
          >
            <ElementLabel
              element={element}
              index={i}
              width={slots[i]?.width ?? 0}
              isStop={i === walk.current}
            />
          </li>
        ),
      )}
    </ol>
  );
}
