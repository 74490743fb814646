import type { Element } from '../document/model';
import { MIDDLE } from './marks';
import type { Slot } from './ribbonLayout';
import type { Profile } from './useProfile';
import { boundsOf } from './useProfile';

/** A standing wave below this is not worth drawing. */
const DRAWN_FROM_SWR = 1.9;

/** Height of the largest voltage, px to either side. */
const HALF_HEIGHT = 36;

/** A half wave narrower than this on the drawing cannot be followed by the eye: its bounds are drawn instead. */
const LEAST_HALF_WAVE_PX = 7;

/** Voltage along the run, where the match is bad: one curve, or its bounds where the angle is not known. */
export function StandingWave({
  run,
  slots,
  profile,
}: {
  run: Element[];
  slots: Slot[];
  profile: Profile;
}) {
  const largest = Math.max(...profile.lines.map((l) => l.maxVoltageRms));
  const worst = Math.max(
    ...profile.lines
      .flatMap((l) => l.points.map((p) => boundsOf(p.swr).max))
      .filter(Number.isFinite),
  );
  if (worst < DRAWN_FROM_SWR) return null;
  return (
    <g fill="none" data-testid="standing-wave">
      {profile.lines
        .filter((line) => run[line.element]?.kind === 'LINE')
        .map((line) => {
          const slot = slots[line.element];
          if (!slot) return null;
          const spans = line.points.map((p) => boundsOf(p.voltageRms));
          const perHalfWave = slot.width / Math.max(1e-9, 2 * line.electricalLengthWavelengths);
          const drawn = perHalfWave < LEAST_HALF_WAVE_PX ? envelope(spans) : spans;
          const at = (i: number) => slot.x + (slot.width * i) / (drawn.length - 1);
          const curve = (figure: 'min' | 'max') =>
            `M${drawn.map((s, i) => `${at(i).toFixed(1)} ${height(s[figure], largest)}`).join('L')}`;
          const isOne = drawn.every((s) => s.max - s.min < 1e-9 * largest);
          return (
            <Wave key={line.element} d={isOne ? curve('max') : `${curve('max')}${curve('min')}`} />
          );
        })}
    </g>
  );
}

/** Ink with a rim of paper is seen on copper and on hatching alike. */
function Wave({ d }: { d: string }) {
  return (
    <>
      <path d={d} stroke="var(--paper)" strokeWidth="3" />
      <path d={d} stroke="var(--ink)" strokeWidth="1" />
    </>
  );
}

function height(voltage: number, largest: number): string {
  return (MIDDLE + HALF_HEIGHT - (2 * HALF_HEIGHT * voltage) / largest).toFixed(1);
}

/** Smallest and largest of the neighbourhood, a few half waves wide. */
function envelope(spans: { min: number; max: number }[]): { min: number; max: number }[] {
  const reach = 24;
  return spans.map((_, i) => {
    const near = spans.slice(Math.max(0, i - reach), i + reach + 1);
    return {
      min: Math.min(...near.map((s) => s.min)),
      max: Math.max(...near.map((s) => s.max)),
    };
  });
}
