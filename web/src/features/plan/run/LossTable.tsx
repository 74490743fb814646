import { useState } from 'react';
import { Fact } from '../../../ui';
import { readLossTable, writeLossTable } from './lossTable';
import type { LossPoint } from './lossTable';

/** A loss by frequency, typed or pasted as two columns; without one the loss is the same on all bands. */
export function LossTable({
  of,
  points,
  onChange,
}: {
  of: string;
  points: readonly LossPoint[] | undefined;
  onChange: (points: LossPoint[] | undefined) => void;
}) {
  const [typed, setTyped] = useState<string | null>(points ? writeLossTable(points) : null);
  if (typed === null) {
    return (
      <button type="button" className="quiet text-left text-small" onClick={() => setTyped('')}>
        State it by frequency
      </button>
    );
  }
  const read = readLossTable(typed);
  return (
    <>
      <Fact label="MHz and dB, a line each">
        <textarea
          aria-label={`loss of ${of} by frequency`}
          className="boxed figures h-24 w-full"
          placeholder={'145 0.2\n433 0.4'}
          value={typed}
          onChange={(e) => {
            setTyped(e.target.value);
            const now = readLossTable(e.target.value);
            if (now.ok && now.points.length > 0) onChange(now.points);
          }}
        />
      </Fact>
      {!read.ok && (
        <p role="alert" className="text-small text-fail">
          {read.message}
        </p>
      )}
      <button
        type="button"
        className="quiet text-left text-small"
        onClick={() => {
          setTyped(null);
          if (points) onChange(undefined);
        }}
      >
        State one loss for all bands
      </button>
    </>
  );
}
