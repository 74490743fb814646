import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { QuantityField, Select } from '../../ui';
import { frequencyText, plain } from '../../units';
import { capital, CONNECTION_WORDS, STANDARD_WORDS } from '../../words';
import { instruments, sweep } from './instrument';
import type { Address, Connection, Identity } from './instrument';
import type { LiveProps } from './liveProps';
import { Running } from './Running';

const STANDARDS = ['OPEN', 'SHORT', 'LOAD', 'THRU', 'SAVE'] as const;

const FIELD_OF: Record<
  Connection,
  'throughFileId' | 'openFileId' | 'shortedFileId' | 'terminatedFileId'
> = {
  THROUGH: 'throughFileId',
  OPEN: 'openFileId',
  SHORT: 'shortedFileId',
  LOAD: 'terminatedFileId',
};

/** Calibration step by step, and sweeps that are waited for. */
export function AnalyserLive({
  notes,
  at,
  identity,
  onIdentity,
  onChange,
  onFile,
  onBusy,
}: LiveProps & {
  at: Address;
  identity: Identity;
  onIdentity: (identity: Identity) => void;
  onBusy: (isBusy: boolean) => void;
}) {
  const [range, setRange] = useState({ startMHz: 2, stopMHz: 450, points: 401 });
  const [done, setDone] = useState<readonly string[]>([]);
  const [percent, setPercent] = useState(0);
  const stopped = useRef(false);
  const calibrate = useMutation({
    mutationFn: async (standards: readonly (typeof STANDARDS)[number][]) => {
      for (const standard of standards) {
        const answer = await instruments.calibrate(at, standard);
        setDone((d) => [...d, standard]);
        onIdentity({ ...identity, calibrated: answer.calibrated });
      }
    },
  });
  const run = useMutation({
    mutationFn: (connection: Connection) => {
      stopped.current = false;
      setPercent(0);
      const name = notes.piece ?? 'sweep';
      return sweep(at, { ...range, connection, name }, setPercent, () => stopped.current);
    },
    onSuccess: (file, connection) => {
      if (!file) return;
      onFile(file);
      onChange((n) => ({ ...n, [FIELD_OF[connection]]: file.id }));
    },
  });
  useEffect(() => onBusy(run.isPending), [onBusy, run.isPending]);
  const connections: Connection[] =
    notes.method === 'THROUGH_SWEEP' ? ['THROUGH'] : ['OPEN', 'SHORT', 'LOAD'];
  const next = done.includes('SAVE') ? undefined : STANDARDS.find((s) => !done.includes(s));
  const failed = calibrate.error ?? run.error;
  const field = (name: 'startMHz' | 'stopMHz', label: string) => (
    <QuantityField
      label={label}
      kind="frequency"
      unit="mhz"
      unitLabel="MHz"
      value={range[name]}
      show={(v) => plain(v, 4)}
      say={frequencyText}
      onCommit={(v) => setRange({ ...range, [name]: v })}
    />
  );
  return (
    <>
      <span className="flex flex-wrap items-baseline gap-x-3 text-soft">
        {identity.calibrated
          ? `It is calibrated${done.includes('SAVE') && !done.includes('THRU') ? ', for one end only' : ''}.`
          : 'It is not calibrated: what is swept now is marked as such for good.'}
        {next && (
          <>
            <span>{STANDARD_WORDS[next].what}</span>
            <button
              type="button"
              className="quiet font-semibold"
              disabled={calibrate.isPending}
              onClick={() => calibrate.mutate(next === 'THRU' ? ['THRU', 'SAVE'] : [next])}
            >
              {STANDARD_WORDS[next].done}
            </button>
            {next === 'THRU' && (
              <button
                type="button"
                className="quiet font-semibold"
                disabled={calibrate.isPending}
                onClick={() => calibrate.mutate(['SAVE'])}
              >
                one end only
              </button>
            )}
          </>
        )}
        {!next && (
          <button type="button" className="quiet" onClick={() => setDone([])}>
            Calibrate again
          </button>
        )}
      </span>
      <span className="flex flex-wrap items-baseline gap-x-2 text-soft">
        sweep from {field('startMHz', 'lowest frequency of the sweep')} to{' '}
        {field('stopMHz', 'highest frequency of the sweep')} at
        <Select
          label="points of the sweep"
          value={String(range.points)}
          options={[201, 401, 801, 1601].map((n) => ({ value: String(n), text: `${n} points` }))}
          onChange={(n) => setRange({ ...range, points: Number(n) })}
        />
        {connections.map((c) => (
          <button
            key={c}
            type="button"
            className="quiet font-semibold"
            disabled={run.isPending}
            onClick={() => run.mutate(c)}
          >
            {CONNECTION_WORDS[c]}
          </button>
        ))}
      </span>
      {run.isPending && (
        <Running
          label="the sweep"
          percent={percent}
          onStop={() => {
            stopped.current = true;
          }}
        />
      )}
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}. What was noted and kept before stands.
        </p>
      )}
    </>
  );
}
