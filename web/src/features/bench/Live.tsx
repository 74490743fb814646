import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { BenchFile, BenchNotes } from '../../api';
import { answered, api } from '../../api';
import { QuantityField, Select } from '../../ui';
import { frequencyText, plain, powerText } from '../../units';
import { capital, CONNECTION_WORDS, STANDARD_WORDS } from '../../words';
import { addressOf, instruments, releaseOnTheWayOut, sweep } from './instrument';
import type { Address, Connection, Identity } from './instrument';
import { withReading } from './notes';

interface Props {
  notes: BenchNotes;
  onChange: (change: (notes: BenchNotes) => BenchNotes) => void;
  onFile: (file: BenchFile) => void;
}

const NOBODY_KNOWS = '?';

/** Readings and sweeps straight from an instrument at a socket. */
export function Live(props: Props) {
  const isWattmeter = props.notes.method === 'WATTMETER';
  const place = `eskiz.instrument.${isWattmeter ? 'wattmeter' : 'analyser'}`;
  const standIns = useQuery({
    queryKey: ['stand-ins'],
    queryFn: () => answered(api.GET('/api/instruments/stand-ins')),
    staleTime: Infinity,
  }).data;
  const port = isWattmeter ? standIns?.wattmeterPort : standIns?.analyserPort;
  const [typed, setTyped] = useState<string | null>(() => localStorage.getItem(place));
  const text = typed ?? (port ? `127.0.0.1:${port}` : '');
  const at = addressOf(text);
  const identify = useMutation({
    mutationFn: (address: Address) => instruments.identify(address),
    onSuccess: () => localStorage.setItem(place, text),
  });
  const [identity, setIdentity] = useState<Identity | null>(null);
  const driven = useRef<Address | null>(null);
  // an instrument that is at work is not let go, nor given another cable
  const [isBusy, setBusy] = useState(false);
  const release = useMutation({
    mutationFn: async () => {
      if (driven.current) await instruments.release(driven.current);
    },
    onSettled: () => {
      driven.current = null;
      setIdentity(null);
    },
  });
  // a tab that goes away lets go by itself, as far as the browser allows
  useEffect(() => {
    const letGo = () => {
      if (driven.current) releaseOnTheWayOut(driven.current);
      driven.current = null;
    };
    window.addEventListener('pagehide', letGo);
    return () => {
      window.removeEventListener('pagehide', letGo);
      letGo();
    };
  }, []);
  const failed = identify.error;

  return (
    <section
      aria-label="instrument"
      className="flex flex-col gap-1.5 border-l-[3px] border-hairline pl-3"
    >
      <form
        className="flex flex-wrap items-baseline gap-x-3 gap-y-1"
        onSubmit={(e) => {
          e.preventDefault();
          if (!at) return;
          identify.mutate(at, {
            onSuccess: (who) => {
              driven.current = at;
              setIdentity(who);
            },
          });
        }}
      >
        <label className="inline-flex items-baseline gap-1 text-soft">
          {isWattmeter ? 'wattmeter at' : 'analyser at'}
          <input
            aria-label="address of the instrument"
            className="in-place figures w-[20ch]"
            placeholder="host:port"
            spellCheck={false}
            value={text}
            onChange={(e) => setTyped(e.target.value)}
          />
        </label>
        <button type="submit" className="quiet font-semibold" disabled={!at || identify.isPending}>
          {identity ? 'ask again' : 'connect'}
        </button>
        {identity && (
          <span className="text-soft">{identity.identity.split(',').slice(0, 2).join(' ')}</span>
        )}
        {identity && (
          <button
            type="button"
            className="quiet"
            disabled={release.isPending || isBusy}
            onClick={() => release.mutate()}
          >
            let go
          </button>
        )}
      </form>
      {failed && (
        <p role="alert" className="text-fail">
          {capital(failed.message)}.
        </p>
      )}
      {identity && at && (
        <>
          {identity.shelf.length > 0 && (
            <ShelfChoice at={at} identity={identity} isBusy={isBusy} onIdentity={setIdentity} />
          )}
          {identity.kind === 'WATTMETER' ? (
            <WattmeterLive {...props} at={at} onBusy={setBusy} />
          ) : (
            <AnalyserLive
              {...props}
              at={at}
              identity={identity}
              onIdentity={setIdentity}
              onBusy={setBusy}
            />
          )}
        </>
      )}
    </section>
  );
}

/** Which piece of its shelf a stand-in has connected; also one that nobody knows, to be judged blindly. */
function ShelfChoice({
  at,
  identity,
  isBusy,
  onIdentity,
}: {
  at: Address;
  identity: Identity;
  isBusy: boolean;
  onIdentity: (identity: Identity) => void;
}) {
  const connect = useMutation({
    mutationFn: (cable: string) => instruments.connect(at, cable === NOBODY_KNOWS ? null : cable),
    onSuccess: (who) => {
      reveal.reset();
      onIdentity(who);
    },
  });
  const reveal = useMutation({ mutationFn: () => instruments.reveal(at) });
  const isBlind = identity.cable !== null && !identity.shelf.includes(identity.cable);
  const failed = connect.error ?? reveal.error;
  return (
    <span className="flex flex-wrap items-baseline gap-x-3">
      <label className="inline-flex items-baseline gap-1 text-soft">
        a stand-in; it measures
        <Select
          label="piece from the shelf"
          value={isBlind ? NOBODY_KNOWS : (identity.cable ?? '')}
          options={[
            ...identity.shelf.map((s) => ({ value: s, text: s })),
            { value: NOBODY_KNOWS, text: 'one that I do not know' },
          ]}
          onChange={(cable) => connect.mutate(cable)}
        />
      </label>
      {isBlind && !reveal.data && (
        <button type="button" className="quiet" disabled={isBusy} onClick={() => reveal.mutate()}>
          I have judged it: what was it?
        </button>
      )}
      {reveal.data && (
        <span role="status">
          It was <strong>{reveal.data.label}</strong>: {reveal.data.truth}.
        </span>
      )}
      {failed && (
        <span role="alert" className="text-fail">
          {capital(failed.message)}.
        </span>
      )}
    </span>
  );
}

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

function AnalyserLive({
  notes,
  at,
  identity,
  onIdentity,
  onChange,
  onFile,
  onBusy,
}: Props & {
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
    mutationFn: (standard: (typeof STANDARDS)[number]) => instruments.calibrate(at, standard),
    onSuccess: (answer, standard) => {
      setDone((d) => [...d, standard]);
      onIdentity({ ...identity, calibrated: answer.calibrated });
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
  const next = STANDARDS.find((s) => !done.includes(s));
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
        {identity.calibrated ? 'It is calibrated.' : 'It is not calibrated.'}
        {next && (
          <>
            <span>{STANDARD_WORDS[next].what}</span>
            <button
              type="button"
              className="quiet font-semibold"
              disabled={calibrate.isPending}
              onClick={() => calibrate.mutate(next)}
            >
              {STANDARD_WORDS[next].done}
            </button>
          </>
        )}
        {!next && (
          <button type="button" className="quiet" onClick={() => setDone([])}>
            calibrate again
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

function WattmeterLive({
  notes,
  at,
  onChange,
  onBusy,
}: Props & { at: Address; onBusy: (isBusy: boolean) => void }) {
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
          read every band without the cable
        </button>
        <button
          type="button"
          className="quiet font-semibold"
          disabled={run.isPending || rows.length === 0}
          onClick={() => run.mutate('CABLE')}
        >
          the cable is in: read every band through it
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
      {run.isError && (
        <p role="alert" className="text-fail">
          {capital(run.error.message)}. The readings before it stand.
        </p>
      )}
    </>
  );
}

function Running({
  label,
  percent,
  onStop,
}: {
  label: string;
  percent: number;
  onStop: () => void;
}) {
  return (
    <span className="flex items-center gap-3">
      <progress aria-label={label} max={100} value={percent} className="h-2 w-48" />
      <span role="status">
        {label}, {Math.round(percent)} %
      </span>
      <button type="button" className="quiet" onClick={onStop}>
        stop
      </button>
    </span>
  );
}
