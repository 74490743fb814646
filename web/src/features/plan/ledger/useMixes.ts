import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { comparisonOf, runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { sectionsIn, withTail } from './mix';

const USUAL_TAIL_M = 3;

/** The search for two cables together, and what it is asked. */
export function useMixes() {
  const { plan } = useSheet();
  const { settings } = usePreferences();
  const [tailM, setTail] = useState(USUAL_TAIL_M);
  const [connectorKey, setConnectorKey] = useState('n');
  const [stopped, setStopped] = useState(false);
  const isSplit = sectionsIn(runOf(plan)) > 1;
  const run = useMemo(
    () => (isSplit ? runOf(plan) : withTail(runOf(plan), tailM, connectorKey)),
    [plan, isSplit, tailM, connectorKey],
  );
  const isTooLong = sectionsIn(run) < 2;
  const comparison = useMemo(
    () => ({ ...comparisonOf(plan, settings.tolerances, []), run }),
    [plan, settings.tolerances, run],
  );
  const answer = useQuery({
    queryKey: ['mixes', comparison],
    queryFn: ({ signal }) => answered(api.POST('/api/mixes', { body: { comparison }, signal })),
    enabled: !isTooLong && !stopped,
    staleTime: 60_000,
  });
  return {
    run,
    /** Whether the run has several sections up for choice already. */
    isSplit,
    /** Whether the tail is no shorter than what it is cut from. */
    isTooLong,
    tailM,
    setTailM: (metres: number) => {
      setStopped(false);
      setTail(metres);
    },
    connectorKey,
    setConnectorKey,
    found: answer.data,
    isTrying: answer.isFetching,
    error: answer.error,
    stopped,
    setStopped,
  };
}

export type Mixes = ReturnType<typeof useMixes>;
