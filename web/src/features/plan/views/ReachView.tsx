import { scaleLinear } from '@visx/scale';
import { useMemo, useRef } from 'react';
import type { Row } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { followPointer, useWidth, VerdictMark, SaveDrawing } from '../../../ui';
import { lengthText } from '../../../units';
import type { Plan } from '../document/model';
import {
  bandName,
  bandsOf,
  candidateLengthM,
  comparisonOf,
  isAnythingAsked,
  runOf,
} from '../document/model';
import { useSheet } from '../sheetContext';
import { leastReach } from './reach';
import { sentences } from '../../../words';

const NAME = 150;
const SAID = 210;
const ROW = 26;

/** The ruler reaches so many times the true length, so that what just passes and what just fails are both on it. */
const TIMES_AS_LONG = 2.5;

/** How far each candidate would go and still meet what is asked, on a ruler with the true length. */
export function ReachView() {
  const { plan, band, command } = useSheet();
  const { lengths, settings } = usePreferences();
  const drawn = useRef<HTMLDivElement>(null);
  const [box, width] = useWidth<HTMLDivElement>();
  const request = useMemo(
    () => ({ ...comparisonOf(plan, settings.tolerances, []), reach: true }),
    [plan, settings.tolerances],
  );
  const answer = useLedger(request);
  const lengthM = candidateLengthM(plan);
  const sections = runOf(plan).flatMap((e, i) => (e.kind === 'LINE' && e.candidate ? [i] : []));
  const right = Math.max(60, width - NAME - SAID);
  const x = scaleLinear<number>({
    domain: [0, Math.max(10, TIMES_AS_LONG * lengthM)],
    range: [0, right],
    clamp: true,
  });
  const rows = answer.data?.rows ?? [];

  if (!isAnythingAsked(plan)) {
    return <p className="px-4 py-6 text-soft">{sentences.nothingAskedReach}</p>;
  }

  function draw(e: React.PointerEvent) {
    const [only] = sections;
    if (only === undefined || sections.length > 1) return;
    const stroke = crypto.randomUUID();
    followPointer(
      e,
      (byPx) => {
        const metres = Math.max(0.1, x.invert(x(lengthM) + byPx));
        command({ do: 'setLength', element: only, lengthM: Number(metres.toFixed(1)), stroke });
      },
      () => undefined,
    );
  }

  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto px-4 py-2"
      ref={drawn}
      data-testid="reach-view"
      role="region"
      aria-label="how far each cable would go"
      tabIndex={0}
    >
      <p className="text-right">
        <SaveDrawing name={`${plan.name}, reach`} drawn={drawn} asSvg={false} />
      </p>
      <p className="pb-2">
        How far each would go before what is asked fails (ratings are judged at the length as it
        is): the thick bar in all, the thin one on {bandName(band)} alone.
      </p>
      {!answer.data && <p role="status">Measuring how far each would go …</p>}
      {answer.error && (
        <p role="alert" className="text-fail">
          {answer.error.message}.
        </p>
      )}
      <div
        ref={box}
        className={`relative ${answer.isPlaceholderData ? 'opacity-45' : ''}`}
        style={{ paddingTop: 22 }}
      >
        <ol>
          {rows.map((row) => (
            <ReachRow
              key={row.id}
              row={row}
              at={x}
              right={right}
              said={saidOf(row, plan, lengths)}
            />
          ))}
        </ol>
        {rows.length > 0 && (
          <div
            className="absolute top-0 bottom-0 w-4 cursor-ew-resize touch-none"
            style={{ left: NAME + x(lengthM) - 8 }}
            title={sections.length === 1 ? 'drag the length' : undefined}
            onPointerDown={draw}
          >
            <span className="absolute top-0 left-1/2 -translate-x-1/2 text-small whitespace-nowrap text-blue">
              {lengthText(lengthM, lengths)} now
            </span>
            <span className="absolute top-5 bottom-0 left-1/2 border-l border-dashed border-blue" />
          </div>
        )}
      </div>
    </div>
  );
}

function ReachRow({
  row,
  at,
  right,
  said,
}: {
  row: Row;
  at: (metres: number) => number;
  right: number;
  said: string;
}) {
  const least = leastReach(row);
  const here = row.reach[useSheet().focus];
  return (
    <li className="flex items-center border-b border-hairline" style={{ height: ROW }}>
      <span className="flex shrink-0 items-center gap-2 truncate" style={{ width: NAME }}>
        <VerdictMark verdict={row.verdict} />
        <span className="truncate font-semibold">{row.name}</span>
      </span>
      <svg width={right} height={ROW} aria-hidden="true" className="shrink-0">
        {here && <path d={`M0 6H${at(here.lengthM)}`} stroke="var(--ink-soft)" strokeWidth="2" />}
        {least && <path d={`M0 15H${at(least.lengthM)}`} stroke="var(--ink)" strokeWidth="7" />}
      </svg>
      <span className="figures pl-3 text-fine whitespace-nowrap">{said}</span>
    </li>
  );
}

function saidOf(row: Row, plan: Plan, lengths: 'm' | 'ft'): string {
  const least = leastReach(row);
  if (!least) return '–';
  const by = least.band === null ? 'cost or mass' : bandName(bandsOf(plan)[least.band]);
  const said = reachText(least, by, lengths);
  return least.extrapolated ? `${said}; extrapolated` : said;
}

function reachText(
  least: NonNullable<ReturnType<typeof leastReach>>,
  by: string,
  lengths: 'm' | 'ft',
): string {
  switch (least.kind) {
    case 'NOT_EVEN_NONE':
      return least.band === null ? 'not even none, by cost' : `not even none, on ${by}`;
    case 'BEYOND':
      return `over ${lengthText(least.lengthM, lengths)}`;
    case 'UP_TO':
      return `${lengthText(Number(least.lengthM.toFixed(1)), lengths)}, by ${by}`;
  }
}
