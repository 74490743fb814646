import { Link } from 'react-router';
import type { Piece } from '../../api';
import { usePreferences } from '../../app/preferences';
import type { Placed } from '../../ui';
import { fixed, frequencyText, lengthText } from '../../units';
import { outText, standingReason, testAgainText } from '../../words';
import { PieceDrawing } from './PieceDrawing';
import { StandingMark } from './StandingMark';

/** A piece: drawn to scale, how it stands and why, and one button that takes it out or puts it away. */
export function PieceRow({
  placed,
  piece,
  longestM,
  isMarked,
  onMark,
  onMove,
}: {
  placed: Placed;
  piece: Piece;
  longestM: number;
  isMarked: boolean;
  onMark: () => void;
  onMove: () => void;
}) {
  const { lengths } = usePreferences();
  const reason = piece.reasons[0];
  return (
    <li
      {...placed}
      data-piece={piece.id}
      data-standing={piece.standing}
      className={`grid grid-cols-[20px_1fr_auto] items-center gap-x-3 gap-y-0.5 border-b border-hairline px-4 py-1.5 min-[700px]:grid-cols-[20px_minmax(140px,1fr)_200px_72px_minmax(150px,1.2fr)_70px] ${isMarked ? 'bg-raised' : ''}`}
    >
      <input
        type="checkbox"
        aria-label={`mark ${piece.label}`}
        checked={isMarked}
        onChange={onMark}
      />
      <div className="min-w-0">
        <Link
          to={`/locker/${piece.id}`}
          className={`block truncate font-semibold hover:text-blue hover:underline ${piece.standing === 'RETIRED' ? 'text-soft' : ''}`}
        >
          {piece.label}
        </Link>
        <div className="truncate text-fine text-soft">
          {piece.cableName ?? 'type not known'}
          {piece.outSince !== null
            ? ` · ${outText(piece)}`
            : piece.keptAt
              ? ` · ${piece.keptAt}`
              : ''}
        </div>
      </div>
      <div className="max-[699px]:col-start-2 max-[699px]:row-start-2">
        <PieceDrawing piece={piece} longestM={longestM} width={200} />
      </div>
      <span className="figures text-right max-[699px]:col-start-3 max-[699px]:row-start-1">
        {lengthText(piece.lengthM, lengths)}
      </span>
      <div className="min-w-0 text-fine max-[699px]:col-span-2 max-[699px]:col-start-2 max-[699px]:row-start-3">
        <StandingMark standing={piece.standing} />
        {piece.percentOfSheet !== null && piece.standing !== 'RETIRED' && (
          <span className="text-soft">
            {' '}
            · <span className="figures">{fixed(piece.percentOfSheet, 0)} %</span> of its sheet
            {piece.referenceMHz !== null && ` at ${frequencyText(piece.referenceMHz)}`}
          </span>
        )}
        <div className="truncate text-soft" title={reason && standingReason(reason)}>
          {reason ? standingReason(reason) : testAgainText(piece)}
        </div>
      </div>
      <button
        type="button"
        className="quiet justify-self-end text-fine whitespace-nowrap max-[699px]:col-start-3 max-[699px]:row-start-2"
        disabled={piece.standing === 'RETIRED'}
        aria-label={`${piece.outSince === null ? 'Take out' : 'Put away'} ${piece.label}`}
        onClick={onMove}
      >
        {piece.outSince === null ? 'Take out' : 'Put away'}
      </button>
    </li>
  );
}
