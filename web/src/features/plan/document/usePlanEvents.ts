import { useEffect, useRef, useState } from 'react';

/** Somebody who has the plan open in another window. */
export interface PersonHere {
  id: string;
  name: string;
}

interface Told {
  /** A version is stored, by whomever; of null it is not known which. */
  onStored: (version: number | null, by: string | null) => void;
  /** A cable was chosen, or a choice withdrawn. */
  onChosen: () => void;
}

/** As long as nobody says what happens to the plan. */
const AGAIN_AFTER_MS = 15_000;

const NOBODY: PersonHere[] = [];

/**
 * Hears what others do to a plan while it is looked at, and who they are. A window behind others does not listen: a browser
 * has only so many connections to one server.
 *
 * @param planId null for nothing to hear
 */
export function usePlanEvents(planId: string | null, told: Told): PersonHere[] {
  const [others, setOthers] = useState(NOBODY);
  const latest = useRef(told);
  useEffect(() => {
    latest.current = told;
  });

  useEffect(() => {
    if (planId === null || typeof EventSource === 'undefined') return;
    let source: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;

    const stop = () => {
      clearTimeout(timer);
      source?.close();
      source = null;
    };
    const listen = () => {
      stop();
      source = new EventSource(`/api/plans/${planId}/events`);
      source.addEventListener('look', (e) => {
        const { version } = read<{ version: number | null }>(e);
        latest.current.onStored(version, null);
        if (version === null) latest.current.onChosen();
      });
      source.addEventListener('saved', (e) => {
        const { version, by } = read<{ version: number; by: string | null }>(e);
        latest.current.onStored(version, by);
      });
      source.addEventListener('chosen', () => latest.current.onChosen());
      source.addEventListener('here', (e) => setOthers(read<{ others: PersonHere[] }>(e).others));
      source.onerror = () => {
        setOthers(NOBODY);
        // it begins again by itself unless it was refused
        if (source?.readyState === EventSource.CLOSED) timer = setTimeout(listen, AGAIN_AFTER_MS);
      };
    };
    const seen = () => {
      if (document.visibilityState === 'visible') listen();
      else stop();
    };
    seen();
    document.addEventListener('visibilitychange', seen);
    return () => {
      document.removeEventListener('visibilitychange', seen);
      stop();
    };
  }, [planId]);
  return others;
}

function read<T>(event: MessageEvent<string>): T {
  return JSON.parse(event.data) as T;
}
