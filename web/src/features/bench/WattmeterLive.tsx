import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { QuantityField } from '../../ui';
import { plain, powerText } from '../../units';
import { capital } from '../../words';
import { instruments } from './instrument';
import type { Address } from './instrument';
import type { LiveProps } from './liveProps';
import { withReading } from './notes';
import { Running } from './Running';

/** Every band read one after the other, without the cable and through it. */
export function WattmeterLive({
  notes,
  at,
  onChange,
  onBusy,
}: LiveProps & { at: Address; onBusy: (isBusy: boolean) => void }) {
  const [powerW, setPowerW] = useState(100);
  const [read, setRead] = useState(0);
  const stopped = useRef(false);
  const rows = (notes.readings ?? []).flatMap((r, i) =>
    r.frequencyMHz !== undefined && r.lengthM === undefined
      ? [{ i, frequencyMHz: r.frequencyMHz }]
      : [],
  );
  const run = useMutation({
    mutationFn: async (path: 'DIRECT' | 'CABLE') => {
      stopped.current = false;
      setRead(0);
      for (const { i, frequencyMHz } of rows) {
        if (stopped.current) return;
        const { text } = await instruments.read(at, frequencyMHz, powerW, path);
        onChange((n) =>
          withReading(n, i, path === 'DIRECT' ? { baseline: text } : { through: text }),
        );
        setRead((done) => done + 1);
      }
    },
  });
  useEffect(() => onBusy(run.isPending), [onBusy, run.isPending]);
  const queries = useQueryClient();
  useEffect(() => {
    if (run.isError || run.isSuccess) void queries.invalidateQueries({ queryKey: ['keyed'] });
  }, [queries, run.isError, run.isSuccess]);
  return (
    <>
      <span className="flex flex-wrap items-baseline gap-x-3 text-soft">
        <span className="inline-flex items-baseline gap-1">
          key the radio with
          <QuantityField
            label="power of the radio"
            kind="power"
            unit="w"
            unitLabel="W"
            value={powerW}
            show={(v) => plain(v, 1)}
            say={powerText}
            onCommit={setPowerW}
          />
        </span>
        <button
          type="button"
          className="quiet font-semibold"
          disabled={run.isPending || rows.length === 0}
          onClick={() => run.mutate('DIRECT')}
        >
          Read every band without the cable
        </button>
        <button
          type="button"
          className="quiet font-semibold"
          disabled={run.isPending || rows.length === 0}
          onClick={() => run.mutate('CABLE')}
        >
          The cable is in: read every band through it
        </button>
      </span>
      {run.isPending && (
        <Running
          label={`band ${Math.min(read + 1, rows.length)} of ${rows.length}`}
          percent={(100 * read) / Math.max(1, rows.length)}
          onStop={() => {
            stopped.current = true;
          }}
        />
      )}
      {run.isSuccess && <p role="status">The transmitter is off, and says so.</p>}
      {run.isError && (
        <p role="alert" className="text-fail">
          {capital(run.error.message)}. The readings before it stand.
        </p>
      )}
    </>
  );
}
