import { PatternLines } from '@visx/pattern';
import { useId } from 'react';
import type { BenchOutcome } from '../../api';

interface Props {
  lossDb: number;
  leastDb: number;
  mostDb: number;
  expectedDb: number | null;
  allowedDb?: number | null;
  outcome: BenchOutcome | null;
  /** What the whole width stands for. */
  fullDb: number;
  width?: number;
}

const HEIGHT = 16;

/**
 * A loss as a hatched bar, since it became heat, with the interval of its reading; a bracket marks what its type promises,
 * as wide as its tolerance.
 */
export function LossStrip(props: Props) {
  const { lossDb, leastDb, mostDb, expectedDb, allowedDb, fullDb, width = 150 } = props;
  const hatch = useId();
  const x = (db: number) => Math.max(0, Math.min(width - 1, (db / fullDb) * (width - 1)));
  const spare = allowedDb ?? 0;
  return (
    <svg width={width} height={HEIGHT} aria-hidden="true" className="block shrink-0">
      <PatternLines
        id={hatch}
        width={4}
        height={4}
        stroke="var(--ink)"
        strokeWidth={0.6}
        orientation={['diagonal']}
        background="var(--ash-ground)"
      />
      <path d={`M0 ${HEIGHT - 0.5}H${width}`} stroke="var(--hairline)" />
      <rect y="4" width={Math.max(1, x(lossDb))} height="8" fill={`url(#${hatch})`} />
      <path
        d={`M${x(leastDb)} 8H${x(mostDb)}M${x(leastDb)} 6v4M${x(mostDb)} 6v4`}
        stroke="var(--ink)"
        strokeWidth="1.4"
        fill="none"
      />
      {expectedDb !== null && (
        <path
          d={`M${x(expectedDb - spare)} 2V0.7H${x(expectedDb + spare)}V2M${x(expectedDb)} 0.7V${HEIGHT}`}
          stroke="var(--blue)"
          strokeWidth="1.2"
          fill="none"
        />
      )}
    </svg>
  );
}
