import type { Kit } from '../../api';
import { usePreferences } from '../../app/preferences';
import { useWidth } from '../../ui';
import { fixed, lengthText, massText } from '../../units';

const HEIGHT = 40;
const MIDDLE = 14;
const END = 110;
const GAP_M = 0.04;

/** How long a kit is drawn: its pieces in a row, and the spare beside them. */
export function drawnLengthM(kit: Kit): number {
  return kit.pieces.reduce((sum, p) => sum + p.lengthM, 0);
}

/** The pieces end to end as they would lie on the grass, all kits at one scale, the spare beside, mass and loss at the end. */
export function KitDrawing({
  kit,
  longestM,
  lossDb,
}: {
  kit: Kit;
  longestM: number;
  /** Of its pieces and the pairs between them; null where it is not known. */
  lossDb: number | null;
}) {
  const { lengths } = usePreferences();
  const [box, width] = useWidth<HTMLDivElement>();
  const room = Math.max(120, width - END);
  const scale = (room * (1 - GAP_M)) / longestM;
  const laid = kit.pieces.filter((p) => !p.spare);
  const spare = kit.pieces.filter((p) => p.spare);
  const weighed = kit.pieces.map((p) => p.massKg);
  const massKg = weighed.every((kg) => kg !== null)
    ? weighed.reduce((sum: number, kg) => sum + (kg ?? 0), 0)
    : null;
  const starts = startsOf(laid.map((p) => p.lengthM * scale));
  const spareStarts = startsOf(spare.map((p) => p.lengthM * scale));
  const spareAt = (starts.at(-1) ?? 0) + room * GAP_M;
  return (
    <div ref={box}>
      <svg width={room + END} height={HEIGHT} aria-hidden="true" className="block">
        {laid.map((p, i) => (
          <Length
            key={p.pieceId}
            x={starts[i] ?? 0}
            width={p.lengthM * scale}
            text={lengthText(p.lengthM, lengths)}
          />
        ))}
        {starts.slice(1, -1).map((x) => (
          <path
            key={x}
            d={`M${x - 1.5} ${MIDDLE - 9}v18M${x + 1.5} ${MIDDLE - 9}v18`}
            stroke="var(--ink)"
          />
        ))}
        {spare.map((p, i) => (
          <Length
            key={p.pieceId}
            x={spareAt + (spareStarts[i] ?? 0)}
            width={p.lengthM * scale}
            text={`${lengthText(p.lengthM, lengths)} spare`}
            isSpare
          />
        ))}
        <AtTheEnd
          x={room + END}
          y={MIDDLE}
          text={lossDb === null ? 'loss not known' : `−${fixed(lossDb, 2)} dB`}
        />
        {massKg !== null && <AtTheEnd x={room + END} y={MIDDLE + 16} text={massText(massKg)} />}
      </svg>
    </div>
  );
}

function AtTheEnd({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <text x={x} y={y} textAnchor="end" fontSize="12" className="figures" fill="var(--ink)">
      {text}
    </text>
  );
}

function Length({
  x,
  width,
  text,
  isSpare = false,
}: {
  x: number;
  width: number;
  text: string;
  isSpare?: boolean;
}) {
  return (
    <g>
      <rect
        x={x}
        y={MIDDLE - 4}
        width={Math.max(2, width)}
        height={8}
        fill={isSpare ? 'none' : 'var(--ink-soft)'}
        stroke="var(--ink)"
        strokeDasharray={isSpare ? '3 2' : undefined}
      />
      <text
        x={x + width / 2}
        y={MIDDLE + 19}
        textAnchor="middle"
        fontSize="11"
        fill="var(--ink-soft)"
      >
        {text}
      </text>
    </g>
  );
}

/** Where each begins that follows the one before it; the last is the end of all. */
function startsOf(widths: readonly number[]): number[] {
  return widths.reduce<number[]>((at, width) => [...at, (at.at(-1) ?? 0) + width], [0]);
}
