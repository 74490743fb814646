import type { Cell, Row } from '../../../api';
import { AlignedFigure } from '../../../ui';
import { againstFigure, figureOf, fractionLeft } from '../../../units';
import type { Reading } from '../../../units';

/** What arrives on one band, or how it differs from what it is read against. */
export function CellFigure({
  cell,
  base,
  reading,
  wide,
  sends,
  middle,
}: {
  cell: Cell;
  /** What it is read against; undefined for the figure as such. */
  base: Cell | undefined;
  reading: Reading;
  wide: boolean;
  /** Whether it is radio power, which alone is copper. */
  sends: boolean;
  /** Loss in the middle 90 % of what may be; undefined where that is not known. */
  middle: Row['middle'][number] | undefined;
}) {
  if (cell.totalLossDb === null) return <span className="text-soft">–</span>;
  const level = { lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW };
  const figure =
    base && base.totalLossDb !== null
      ? againstFigure(level, { lossDb: base.totalLossDb, watts: base.powerAtAntennaW }, reading)
      : figureOf(level, reading);
  return (
    <>
      <span
        className={`${wide ? 'text-answer leading-[18px] font-bold' : 'text-small leading-[18px]'} ${
          cell.verdict === 'FAIL' ? 'text-faint' : ''
        }`}
      >
        <AlignedFigure text={figure} />
      </span>
      <span aria-hidden="true" className="relative mt-px block h-[3px]">
        <span
          className={`block h-full min-w-px ${sends ? 'bg-copper' : 'bg-soft'}`}
          style={{ width: `${100 * fractionLeft(cell.totalLossDb)}%` }}
        />
        {middle && (
          <span
            className="absolute top-0 h-full min-w-[2px] bg-ink opacity-70"
            style={{
              left: `${100 * fractionLeft(middle.mostDb)}%`,
              width: `${100 * (fractionLeft(middle.leastDb) - fractionLeft(middle.mostDb))}%`,
            }}
          />
        )}
      </span>
    </>
  );
}
