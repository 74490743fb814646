import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Schemas } from '../../../api';
import { answered as answerOf, api } from '../../../api';
import { HouseLink } from '../../../app/HouseLink';
import { usePreferences } from '../../../app/preferences';
import { levelTeller } from '../../../units';
import type { Input } from '../../../words';
import {
  chanceText,
  doubtText,
  INPUT_WORDS,
  moneyText,
  sureSentence,
  surerSentence,
} from '../../../words';
import {
  bandName,
  comparisonOf,
  isAnythingAsked,
  ownCablesOf,
  powerOn,
  runOf,
} from '../document/model';
import { laid } from '../ledger/mix';
import { useSheet } from '../sheetContext';

type BandConfidence = Schemas['BandConfidenceResponse'];

/** Less of the variance than this is not worth a line. */
const WORTH_A_LINE = 0.005;

/** How sure the run is to do what is asked, what most of the doubt is, and what it would bring to know it. */
export function HowSure() {
  const { answered, row, stale } = useSheet();
  const { reading, settings } = usePreferences();
  // here, because what is below goes and comes with every answer
  const [open, setOpen] = useState(false);
  const plan = answered?.plan;
  const request = useMemo(
    () =>
      plan && row
        ? {
            ...comparisonOf(plan, settings.tolerances, []),
            run: laid(runOf(plan), row, ownCablesOf(plan)),
            candidates: [],
          }
        : null,
    [plan, row, settings.tolerances],
  );
  // asked once the figures are there, and dropped by the next key
  const sure = useQuery({
    queryKey: ['comparison', 'how sure', request],
    queryFn: ({ signal }) => answerOf(api.POST('/api/confidence', { body: request ?? {}, signal })),
    enabled: request !== null && !stale,
    retry: false,
  }).data;
  const band = sure?.bands[answered?.focus ?? 0];
  if (!plan || !band?.largest || !sure) return null;
  const at = plan.document.assessment?.bands?.[answered.focus];
  const told = levelTeller(powerOn(plan, at), reading);
  const span = (loss: { p05: number; p95: number }) => `${told(loss.p95)} to ${told(loss.p05)}`;
  const doubts = band.inputs.filter((d) => d.share >= WORTH_A_LINE);
  return (
    <div data-testid="how-sure">
      <p>
        {isAnythingAsked(plan) && `${chanceText(sure.passing)} `}
        {sureSentence(
          bandName(at),
          doubts,
          span(band.lossDb),
          span(band.largest.lossDb),
          band.largest.decides,
        )}
      </p>
      <Surer />
      <details open={open} className="text-fine">
        <summary
          className="text-soft"
          onClick={(click) => {
            click.preventDefault();
            setOpen(!open);
          }}
        >
          What is worth knowing
        </summary>
        <ul aria-label="what is worth knowing" className="pt-1">
          {doubts.map((doubt) => (
            <WorthKnowing key={doubt.input} doubt={doubt} standardDb={band.standardDb} />
          ))}
        </ul>
      </details>
    </div>
  );
}

/** What the next surer cable costs more, where there is one. */
function Surer() {
  const { sureness, row } = useSheet();
  const sure = row && sureness.of(row.id);
  if (!sure?.surer || !sure.cost || sure.passing === null) return null;
  const { name, passing, more, cost } = sure.surer;
  return (
    <p>
      {surerSentence(
        { name: sure.name, passing: sure.passing },
        { name, passing },
        more,
        moneyText({ amount: cost, currency: sure.cost.currency }),
      )}
    </p>
  );
}

/** One thing that nobody knows exactly, what it is of the loss, and where it comes to be known. */
function WorthKnowing({
  doubt,
  standardDb,
}: {
  doubt: BandConfidence['inputs'][number];
  /** By all inputs, as wide as the bar may be. */
  standardDb: number;
}) {
  const { what, how } = INPUT_WORDS[doubt.input];
  const db = doubtText(doubt.standardDb);
  if (db === null) return null;
  return (
    <li className="grid grid-cols-[9ch_48px_1fr] items-baseline gap-x-2 py-0.5">
      <span className="figures text-right whitespace-nowrap">{db}</span>
      <span
        aria-hidden="true"
        className="h-2 bg-copper"
        style={{ width: `${(48 * doubt.standardDb) / standardDb}px` }}
      />
      <span>
        {what}; <WhereItIsMeasured input={doubt.input} how={how} />
      </span>
    </li>
  );
}

/** The field in which the answer is typed, or the bench. */
function WhereItIsMeasured({ input, how }: { input: Input; how: string }) {
  const { row } = useSheet();
  switch (input) {
    case 'CABLE':
    case 'JOINTS':
      return (
        <HouseLink className="quiet underline" to={`/bench/new?type=${row?.id ?? ''}`}>
          {how}
        </HouseLink>
      );
    case 'SWR':
    case 'ANGLE':
      return (
        <button type="button" className="quiet text-left underline" onClick={goToAntenna}>
          {how}
        </button>
      );
    default:
      return how;
  }
}

function goToAntenna() {
  document.querySelector<HTMLElement>('[aria-label="what is known of the antenna"]')?.focus();
}
