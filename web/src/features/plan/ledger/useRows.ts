import { useMemo, useState } from 'react';
import type { BandAssessment, CableType, ComparisonRequest, Ledger, Row } from '../../../api';
import { Away, Refused, useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { awayText, capital } from '../../../words';
import type { Plan } from '../document/model';
import type { Answered } from '../sheetContext';
import { comparisonOf, runOf } from '../document/model';

interface Asked {
  plan: Plan;
  /** Whether what comes first lies in the run. */
  follows: boolean;
  focus: number;
}

interface Rows {
  /** What all of the following was computed for, together. */
  answered: Answered | undefined;
  ledger: Ledger | undefined;
  /** The row that lies in the run. */
  inRun: Row | undefined;
  /** Its band in focus, with every element. */
  drawn: BandAssessment | undefined;
  /** Its loss there, at both ends of what cables may be off. */
  atTolerance: { leastDb: number; mostDb: number } | undefined;
  /** The same on a wet day, or on a dry one, where that is another. */
  otherWeather: NonNullable<Ledger['details'][number]['otherWeather']> | undefined;
  /** The same for the row pointed at, while it is another one. */
  pointedAt: BandAssessment | undefined;
  /** Whether the figures are not those of the plan as it is. */
  isStale: boolean;
  /** Why there are no newer ones. */
  problem: string | null;
}

/** The ledger of a plan, and what its drawing needs of it. What is shown together was computed together. */
export function useRows(asked: Asked, catalogue: CableType[], pointed: string | null): Rows {
  const { plan, follows, focus } = asked;
  const { tolerances } = usePreferences().settings;
  const request = useMemo(() => comparisonOf(plan, tolerances, []), [plan, tolerances]);
  const answer = useLedger(request);
  const ledger = answer.isPlaceholderData ? undefined : answer.data;
  const inRun = ledger && rowInRun(ledger, follows);
  const drawn = useDetail(plan, catalogue, inRun?.id ?? null, focus);
  const fresh = useMemo(
    () =>
      ledger &&
      inRun &&
      drawn && { answered: { plan, focus }, ledger, inRun, detail: drawn.detail },
    [plan, focus, ledger, inRun, drawn],
  );
  const shown = useLast(fresh);
  const pointedAt = useDetail(plan, catalogue, pointed === shown?.inRun.id ? null : pointed, focus);
  const failed = answer.isError ? answer.error : null;

  return {
    answered: shown?.answered,
    ledger: shown?.ledger,
    inRun: shown?.inRun,
    drawn: shown?.detail?.assessment,
    atTolerance: shown?.detail?.atTolerance ?? undefined,
    otherWeather: shown?.detail?.otherWeather ?? undefined,
    pointedAt: pointedAt?.detail?.assessment,
    isStale: failed !== null || (answer.failureCount > 0 && answer.isFetching),
    problem: failed
      ? sentenceOf(failed)
      : answer.failureReason
        ? sentenceOf(answer.failureReason)
        : null,
  };
}

/** What lies in the run: what comes first, or what was laid there by hand. */
export function rowInRun(ledger: Ledger, follows: boolean): Row | undefined {
  return follows ? ledger.rows[0] : ledger.rows.find((r) => r.id === ledger.presentRowId);
}

/** The last value that was there. */
function useLast<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) setLast(value);
  return value ?? last;
}

function sentenceOf(error: Error): string {
  if (error instanceof Refused) return `${error.message}.`;
  if (error instanceof Away) return capital(`${awayText(error.what)}.`);
  return error.message;
}

/** One row on one band, as the ledger would have it, and nothing else. */
export function detailRequest(
  plan: Plan,
  catalogue: CableType[],
  rowId: string,
  focus: number,
  profile: boolean,
  tolerance: ComparisonRequest['tolerance'],
): ComparisonRequest {
  const whole = comparisonOf(plan, tolerance, [{ rowId, band: 0, profile }]);
  const own = whole.candidates?.filter((c) => c.id === rowId) ?? [];
  // a mix is a row as long as it is in the run; any of its cables will do for the question
  const present = runOf(plan).flatMap((e) =>
    e.kind === 'LINE' && e.candidate && e.cableKey ? [{ cableKey: e.cableKey }] : [],
  );
  const any = catalogue.slice(0, 1).map((t) => ({ cableKey: t.key }));
  return {
    ...whole,
    bands: whole.bands?.slice(focus, focus + 1),
    requirements: [],
    wholeCatalogue: false,
    candidates:
      own.length > 0
        ? own
        : catalogue.some((t) => t.key === rowId)
          ? [{ cableKey: rowId }]
          : present.length > 0
            ? present
            : any,
  };
}

/**
 * One cell with its elements: a small question of its own, so that pointing at a row does not ask for all of them. Undefined
 * while it is not answered; without a detail where the run loses more than can be assessed.
 */
function useDetail(
  plan: Plan,
  catalogue: CableType[],
  rowId: string | null,
  focus: number,
): { detail: Ledger['details'][number] | undefined } | undefined {
  const { tolerances } = usePreferences().settings;
  const request = useMemo(
    () => (rowId === null ? null : detailRequest(plan, catalogue, rowId, focus, false, tolerances)),
    [plan, catalogue, rowId, focus, tolerances],
  );
  const { data, isPlaceholderData } = useLedger(request);
  return useMemo(
    () => (rowId === null || isPlaceholderData || !data ? undefined : { detail: data.details[0] }),
    [rowId, isPlaceholderData, data],
  );
}
