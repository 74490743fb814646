import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../../api';
import { answered as answerOf, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { fixed, fractionLeft, levelText, shownReading } from '../../../units';
import { chanceText, INPUT_WORDS, sureSentence } from '../../../words';
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
type Input = keyof typeof INPUT_WORDS;

const INPUTS: readonly [keyof BandConfidence['shares'], Input][] = [
  ['cable', 'CABLE'],
  ['joints', 'JOINTS'],
  ['swr', 'SWR'],
  ['angle', 'ANGLE'],
  ['length', 'LENGTH'],
  ['ambient', 'AMBIENT'],
];

/** How sure the run is to do what is asked, what most of the doubt is, and what it would bring to know it. */
export function HowSure() {
  const { answered, row, stale, catalogue } = useSheet();
  const { reading, settings } = usePreferences();
  const plan = answered?.plan;
  const request = useMemo(
    () =>
      plan && row
        ? {
            ...comparisonOf(plan, catalogue, settings.tolerances, []),
            run: laid(runOf(plan), row, ownCablesOf(plan)),
            candidates: [],
          }
        : null,
    [plan, row, catalogue, settings.tolerances],
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
  const radioW = powerOn(plan, at);
  const shown = shownReading(reading, radioW !== null);
  const told = (lossDb: number) =>
    levelText({ lossDb, watts: radioW === null ? null : radioW * fractionLeft(lossDb) }, shown);
  const span = (loss: { p05: number; p95: number }) => `${told(loss.p95)} to ${told(loss.p05)}`;
  return (
    <div data-testid="how-sure">
      <p>
        {isAnythingAsked(plan) && `${chanceText(sure.chance)} `}
        {sureSentence(
          bandName(at),
          band.largest.input,
          span(band.lossDb),
          span(band.largest.lossDb),
        )}
      </p>
      <details className="text-fine">
        <summary className="text-soft">What is worth knowing</summary>
        <ul className="pt-1">
          {INPUTS.filter(([share]) => band.shares[share] >= 0.005)
            .toSorted((a, b) => band.shares[b[0]] - band.shares[a[0]])
            .map(([share, input]) => (
              <li key={share} className="flex items-baseline gap-2">
                <span className="figures w-10 shrink-0 text-right">
                  {fixed(100 * band.shares[share], 0)} %
                </span>
                <span
                  aria-hidden="true"
                  className="h-2 shrink-0 bg-copper"
                  style={{ width: `${70 * band.shares[share]}px` }}
                />
                <span>
                  {INPUT_WORDS[input].what}
                  {input === 'CABLE' ? (
                    <>
                      ;{' '}
                      <Link className="quiet" to={`/bench/new?type=${row?.id ?? ''}`}>
                        {INPUT_WORDS[input].how}
                      </Link>
                    </>
                  ) : (
                    `; ${INPUT_WORDS[input].how}`
                  )}
                </span>
              </li>
            ))}
        </ul>
      </details>
    </div>
  );
}
