import type { Element } from '../document/model';

/** Where the ribbon runs in its drawing, px. */
export const FULL = 84;
export const MIDDLE = 80;
export const TOP = MIDDLE - FULL / 2;
export const BOTTOM = MIDDLE + FULL / 2;

/** What stands across the ribbon for an element without length. */
export function ElementMark({ element, x }: { element: Element; x: number }) {
  switch (element.kind) {
    case 'LINE':
      return null;
    case 'JOINT':
      return (
        <path
          d={`M${x - 2} ${TOP - 6}V${BOTTOM + 6}M${x + 2} ${TOP - 6}V${BOTTOM + 6}`}
          stroke="var(--ink)"
          strokeWidth="1.25"
        />
      );
    case 'DEVICE':
      return (
        <g stroke="var(--ink)" strokeWidth="1.25">
          <path d={`M${x} ${TOP - 6}V${BOTTOM + 6}`} />
          <rect x={x - 9} y={MIDDLE - 9} width={18} height={18} fill="var(--paper)" />
          <path d={`M${x - 5} ${MIDDLE + 4}l5-9 5 9z`} fill="none" />
        </g>
      );
    case 'TRANSFORMER':
      return (
        <g stroke="var(--ink)" strokeWidth="1.25" fill="none">
          <rect
            x={x - 11}
            y={TOP - 6}
            width={22}
            height={FULL + 12}
            fill="var(--paper)"
            stroke="none"
          />
          <path d={`M${x - 11} ${TOP - 6}V${BOTTOM + 6}M${x + 11} ${TOP - 6}V${BOTTOM + 6}`} />
          <path d={coil(x - 6, 1)} />
          <path d={coil(x + 6, -1)} />
        </g>
      );
    case 'PREAMPLIFIER':
      return preamplifier(x);
    case 'FORK':
      return fork(x);
  }
}

/** A preamplifier points the way the signal goes: from the antenna to the receiver. */
function preamplifier(x: number) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.25" fill="var(--paper)" data-testid="preamplifier">
      <path d={`M${x} ${TOP - 6}V${BOTTOM + 6}`} />
      <path d={`M${x + 11} ${MIDDLE - 13}V${MIDDLE + 13}L${x - 11} ${MIDDLE}Z`} />
      <path d={`M${x - 1} ${MIDDLE}h7M${x + 2.5} ${MIDDLE - 3.5}v7`} />
    </g>
  );
}

/** Where the run forks: one way goes on, others leave it. */
function fork(x: number) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.25">
      <path d={`M${x} ${TOP - 6}V${BOTTOM + 6}`} />
      <rect x={x - 11} y={MIDDLE - 11} width={22} height={22} fill="var(--paper)" />
      <path d={`M${x - 7} ${MIDDLE}h4l6 -5h4M${x - 3} ${MIDDLE}l6 5h4`} fill="none" />
    </g>
  );
}

/** Four half-turns bulging to one side. */
function coil(x: number, side: 1 | -1): string {
  const turns = Array.from({ length: 4 }, () => `a5 6 0 0 ${side > 0 ? 1 : 0} 0 12`).join('');
  return `M${x - side * 2} ${MIDDLE - 24}${turns}`;
}

/** A line that is drawn shorter than its neighbours' scale is broken, as on a drawing. */
export function BreakMark({ x }: { x: number }) {
  const edge = (dx: number) =>
    `M${x + dx - 3} ${BOTTOM + 5}L${x + dx + 1} ${MIDDLE + 8}L${x + dx - 1} ${MIDDLE - 8}L${x + dx + 3} ${TOP - 5}`;
  return (
    <g fill="none">
      <path d={edge(0)} stroke="var(--paper)" strokeWidth="7" />
      <path d={`${edge(-4)}${edge(4)}`} stroke="var(--ink)" strokeWidth="1" />
    </g>
  );
}

export function AntennaMark({ x }: { x: number }) {
  return (
    <path
      d={`M${x} ${MIDDLE}h12M${x + 12} ${MIDDLE - 24}v48M${x + 6} ${MIDDLE - 24}h12M${x + 6} ${MIDDLE + 24}h12M${x + 20} ${MIDDLE - 14}v28`}
      stroke="var(--ink)"
      strokeWidth="1.5"
      fill="none"
    />
  );
}
