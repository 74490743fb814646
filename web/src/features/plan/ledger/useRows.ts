import { useMemo } from 'react';
import type { BandAssessment, CableType, ComparisonRequest, Ledger, Row } from '../../../api';
import { Away, Refused, useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { awayText, capital } from '../../../words';
import type { Plan } from '../document/model';
import { comparisonOf, runOf } from '../document/model';

interface Rows {
  ledger: Ledger | undefined;
  /** The row that is drawn and spoken of. */
  selected: Row | undefined;
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

/** The ledger of a plan, and what its drawing needs of it. */
export function useRows(
  plan: Plan,
  catalogue: CableType[],
  wanted: string | null,
  pointed: string | null,
  focus: number,
): Rows {
  const { tolerances } = usePreferences().settings;
  const request = useMemo(
    () => comparisonOf(plan, catalogue, tolerances, []),
    [plan, catalogue, tolerances],
  );
  const answer = useLedger(request);
  const ledger = answer.data;
  const selected =
    ledger?.rows.find((r) => r.id === wanted) ??
    ledger?.rows.find((r) => r.verdict !== 'FAIL') ??
    ledger?.rows.find((r) => r.id === ledger.presentRowId);
  const drawn = useDetail(plan, catalogue, selected?.id ?? null, focus);
  const pointedAt = useDetail(
    plan,
    catalogue,
    pointed === selected?.id ? null : pointed,
    focus,
    false,
  );
  const failed = answer.isError ? answer.error : null;

  return {
    ledger,
    selected,
    drawn: drawn?.assessment,
    atTolerance: drawn?.atTolerance ?? undefined,
    otherWeather: drawn?.otherWeather ?? undefined,
    pointedAt: pointedAt?.assessment,
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
  tolerance: ComparisonRequest['tolerance'],
): ComparisonRequest {
  const whole = comparisonOf(plan, catalogue, tolerance, [{ rowId, band: 0, profile }]);
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

/** One cell with its elements: a small question of its own, so that pointing at a row does not ask for all of them. */
function useDetail(
  plan: Plan,
  catalogue: CableType[],
  rowId: string | null,
  focus: number,
  keep = true,
): Ledger['details'][number] | undefined {
  const { tolerances } = usePreferences().settings;
  const request = useMemo(
    () => (rowId === null ? null : detailRequest(plan, catalogue, rowId, focus, false, tolerances)),
    [plan, catalogue, rowId, focus, tolerances],
  );
  const answer = useLedger(request);
  if (rowId === null || (!keep && answer.isPlaceholderData)) return undefined;
  return answer.data?.details[0];
}
