import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answered, api } from '../../api';
import { capital } from '../../words';
import { AnalyserLive } from './AnalyserLive';
import { addressOf, instruments, releaseOnTheWayOut } from './instrument';
import { KeyedWarning } from './KeyedWarning';
import type { Address, Identity } from './instrument';
import { ShelfChoice } from './ShelfChoice';
import type { LiveProps } from './liveProps';
import { WattmeterLive } from './WattmeterLive';

/** Readings and sweeps straight from an instrument at a socket. */
export function Live(props: LiveProps) {
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
      {isWattmeter && <KeyedWarning />}
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
          {identity ? 'Ask again' : 'Connect'}
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
            Disconnect
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
