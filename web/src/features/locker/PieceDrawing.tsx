import type { Piece, PieceEnd } from '../../api';

const HEIGHT = 14;
const END = 10;

/** A piece drawn to the scale of the longest, with what it ends in: a plug is solid, a socket open, an unknown end dotted. */
export function PieceDrawing({
  piece,
  longestM,
  width,
}: {
  piece: Piece;
  longestM: number;
  width: number;
}) {
  const room = width - 2 * END;
  const length = Math.max(4, (piece.lengthM / longestM) * room);
  const stroke = piece.standing === 'RETIRED' ? 'var(--control)' : 'var(--ink)';
  return (
    <svg width={width} height={HEIGHT} aria-hidden="true" className="block shrink-0">
      <End end={piece.near} x={0} stroke={stroke} />
      <path
        d={`M${END} ${HEIGHT / 2}h${length}`}
        stroke={stroke}
        strokeWidth="3"
        strokeDasharray={piece.outSince === null ? undefined : '6 4'}
      />
      <End end={piece.far} x={END + length} stroke={stroke} />
    </svg>
  );
}

function End({ end, x, stroke }: { end: PieceEnd | null; x: number; stroke: string }) {
  return (
    <rect
      x={x + 1}
      y={HEIGHT / 2 - 4}
      width={END - 2}
      height="8"
      fill={end?.gender === 'PLUG' ? stroke : 'none'}
      stroke={stroke}
      strokeDasharray={end === null ? '2 2' : undefined}
    />
  );
}
