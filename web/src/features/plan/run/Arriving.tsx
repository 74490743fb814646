import { figureOf, fractionLeft, significant, unitOf } from '../../../units';
import type { Reading } from '../../../units';
import { asAnswered, useSheet } from '../sheetContext';
import { MIDDLE } from './marks';

/** What arrives, at the end of the ribbon, in the largest figures of the sheet. */
export function Arriving({ shown, left }: { shown: Reading; left: number }) {
  const { hasWatts, assessment, stale } = asAnswered(useSheet());
  if (!assessment) return null;
  const arriving = { lossDb: assessment.totalLossDb, watts: assessment.powerAtAntennaW };
  return (
    <div
      className={`absolute text-left ${stale ? 'opacity-40' : ''}`}
      style={{ left, top: MIDDLE - 24 }}
    >
      <div
        className={`figures text-title leading-6 font-semibold whitespace-nowrap ${hasWatts ? 'text-copper-text' : ''}`}
      >
        {figureOf(arriving, shown)}
        <span className="ml-1.5 text-body font-normal">{unitOf(shown)}</span>
      </div>
      <div className="text-small text-soft">
        {hasWatts ? 'at the antenna' : 'reach the receiver'}
        {shown === 'percent' && (
          <span className="block">
            {significant(100 * (1 - fractionLeft(arriving.lossDb)))} % lost
          </span>
        )}
      </div>
    </div>
  );
}
