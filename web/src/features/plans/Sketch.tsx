import type { Schemas } from '../../api';
import { levelsOfLosses, ribbonPath, slotsOf, thicknesses } from '../plan';

const WIDTH = 168;
const HEIGHT = 30;
const LEAST = 8;

/** A plan's run drawn small, on the band where least arrives: copper where it sends, ink where it only listens. */
export function Sketch({ sketch }: { sketch: Schemas['PlanSketchResponse'] }) {
  const slots = slotsOf(sketch.elements, WIDTH, LEAST);
  const sends = sketch.radioPowerW !== null;
  const levels = levelsOfLosses(
    sketch.elements.map((e) => e.lossDb),
    sketch.lossBeforeRunDb,
    sends,
  );
  const thickness = thicknesses(levels, HEIGHT);
  const middle = HEIGHT / 2;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true" className="shrink-0">
      <rect width={WIDTH} height={HEIGHT} fill="var(--ash-ground)" />
      <path
        d={ribbonPath(slots, thickness, middle)}
        fill={sends ? 'var(--copper)' : 'var(--ink-soft)'}
      />
      {slots.map((slot, i) =>
        sketch.elements[i]?.kind === 'LINE' ? null : (
          <path
            key={i}
            d={`M${slot.x + slot.width / 2} 0V${HEIGHT}`}
            stroke="var(--ink)"
            strokeWidth="1"
          />
        ),
      )}
    </svg>
  );
}
