import type { Level } from '../../../units';
import { FULL, MIDDLE } from './marks';
import { ribbonPath, thicknesses, ticks } from './ribbonLayout';
import type { Slot } from './ribbonLayout';

/** Copper is radio power and nothing else; a received signal is drawn in ink. */
export function Power({
  slots,
  levels,
  isReceiver,
  stub,
  width,
}: {
  slots: Slot[];
  levels: Level[];
  isReceiver: boolean;
  /** Width of the piece between radio and run, px. */
  stub: number;
  width: number;
}) {
  const thickness = thicknesses(levels, FULL);
  const atRadio = thickness[0] ?? FULL;
  const entering = isReceiver ? FULL : atRadio;
  const colour = isReceiver ? 'var(--ink-soft)' : 'var(--copper)';
  return (
    <>
      {entering < FULL - 0.5 && (
        <path
          d={`M${-stub} ${MIDDLE - FULL / 2}L0 ${MIDDLE - entering / 2}M${-stub} ${MIDDLE + FULL / 2}L0 ${MIDDLE + entering / 2}`}
          stroke="var(--ink-soft)"
          strokeDasharray="2 2"
          fill="none"
        >
          <title>what never leaves the radio</title>
        </path>
      )}
      <path
        d={`M${-stub} ${MIDDLE - atRadio / 2}H0V${MIDDLE + atRadio / 2}H${-stub}Z`}
        fill={colour}
      />
      <rect x={0} y={MIDDLE - entering / 2} width={width} height={entering} fill="url(#ash)" />
      <path d={ribbonPath(slots, thickness, MIDDLE)} fill={colour} data-testid="copper" />
      {ticks(levels, FULL).map((i) => (
        <path
          key={i}
          d={`M${middleX(slots[i])} ${MIDDLE + (thickness[i] ?? FULL) / 2 - 6}v5`}
          stroke="var(--paper)"
          strokeWidth="1.5"
          data-testid="tick"
        >
          <title>a loss too small to be seen</title>
        </path>
      ))}
      <path
        d={`M0 ${MIDDLE - entering / 2}H${width}M0 ${MIDDLE + entering / 2}H${width}`}
        stroke="var(--ink)"
        strokeWidth="0.75"
      />
    </>
  );
}

function middleX(slot: Slot | undefined): number {
  return slot ? slot.x + slot.width / 2 : 0;
}

/** Another row over it, as a thin outline. */
export function Outline({ slots, levels }: { slots: Slot[]; levels: Level[] }) {
  const path = ribbonPath(slots, thicknesses(levels, FULL), MIDDLE);
  return (
    <g fill="none" data-testid="outline">
      <path d={path} stroke="var(--paper)" strokeWidth="3.5" />
      <path d={path} stroke="var(--blue)" strokeWidth="1.5" strokeDasharray="5 3" />
    </g>
  );
}
