import { useMemo } from 'react';
import type { BandAssessment, CableType, ComparisonRequest, Ledger, Row } from '../../api';
import { Away, Refused, useLedger } from '../../api';
import { awayText, capital } from '../../words';
import type { Plan } from './model';
import { comparisonOf } from './model';

interface Rows {
  ledger: Ledger | undefined;
  /** The row that is drawn and spoken of. */
  selected: Row | undefined;
  /** Its band in focus, with every element. */
  drawn: BandAssessment | undefined;
  /** The same for the row pointed at, while it is another one. */
  pointedAt: BandAssessment | undefined;
  /** Whether the figures are not those of the plan as it is. */
  isStale: boolean;
  /** Why there are no newer ones. */
  problem: string | null;
}

/** The ledger of a plan, and what its drawing needs of it. */
export function useRows(
  plan: Plan,
  catalogue: CableType[],
  wanted: string | null,
  pointed: string | null,
  focus: number,
): Rows {
  const request = useMemo(() => comparisonOf(plan, catalogue, []), [plan, catalogue]);
  const answer = useLedger(request);
  const ledger = answer.data;
  const selected =
    ledger?.rows.find((r) => r.id === wanted) ??
    ledger?.rows.find((r) => r.verdict !== 'FAIL' && r.suitability === 'SUITED') ??
    ledger?.rows.find((r) => r.id === ledger.presentRowId);
  const failed = answer.isError ? answer.error : null;

  return {
    ledger,
    selected,
    drawn: useDetail(plan, catalogue, selected?.id ?? null, focus),
    pointedAt: useDetail(plan, catalogue, pointed === selected?.id ? null : pointed, focus, false),
    isStale: failed !== null || (answer.failureCount > 0 && answer.isFetching),
    problem: failed
      ? sentenceOf(failed)
      : answer.failureReason
        ? sentenceOf(answer.failureReason)
        : null,
  };
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
): ComparisonRequest {
  const whole = comparisonOf(plan, catalogue, [{ rowId, band: 0, profile }]);
  const own = whole.candidates?.filter((c) => c.id === rowId) ?? [];
  return {
    ...whole,
    bands: whole.bands?.slice(focus, focus + 1),
    requirements: [],
    candidates:
      own.length > 0 ? own : catalogue.some((t) => t.key === rowId) ? [{ cableKey: rowId }] : [],
  };
}

/** One cell with its elements: a small question of its own, so that pointing at a row does not ask for all of them. */
function useDetail(
  plan: Plan,
  catalogue: CableType[],
  rowId: string | null,
  focus: number,
  keep = true,
): BandAssessment | undefined {
  const request = useMemo(
    () => (rowId === null ? null : detailRequest(plan, catalogue, rowId, focus, false)),
    [plan, catalogue, rowId, focus],
  );
  const answer = useLedger(request);
  if (rowId === null || (!keep && answer.isPlaceholderData)) return undefined;
  return answer.data?.details[0]?.assessment;
}
