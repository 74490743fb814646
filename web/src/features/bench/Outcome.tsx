import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { BenchAnalysis, BenchNotes, BenchTest, CableType } from '../../api';
import { answered, api } from '../../api';
import { PlanChoice } from '../../app/PlanChoice';
import { Sentence } from '../../ui';
import { fixed, frequencyText, per100, plain, unitsBeside } from '../../units';
import { BENCH_CAUTIONS, benchFindingText, benchSentences, capital } from '../../words';
import { OutcomeMark } from './OutcomeMark';

interface Props {
  notes: BenchNotes;
  analysis: BenchAnalysis | undefined;
  types: readonly CableType[];
  /** The test as it is stored; null while it is new or being corrected. */
  stored: BenchTest | null;
  isStale: boolean;
  children: React.ReactNode;
}

/** What the test says in sentences, what to test next, and what can be made of it. */
export function Outcome({ notes, analysis, types, stored, isStale, children }: Props) {
  const nameOf = (key: string) => types.find((t) => t.key === key)?.name ?? key;
  const type = notes.cableKey ? nameOf(notes.cableKey) : null;
  const [verdict, ...rest] =
    notes.terminatedFileId && analysis?.figures.length === 0
      ? ['What reflects is drawn along the line; nothing was read of its loss.']
      : analysis
        ? benchSentences(analysis, notes.piece ?? '', type, nameOf)
        : ['Working it out …'];
  const told = (analysis?.findings ?? []).filter((f) => f.code !== 'CHANGE_INSIDE');
  return (
    <aside
      aria-label="what it says"
      className={`flex shrink-0 flex-col gap-2.5 border-hairline px-4 py-3 min-[900px]:w-[320px] min-[900px]:overflow-y-auto min-[900px]:border-l max-[899px]:border-t ${isStale ? 'text-soft' : ''}`}
    >
      {analysis?.outcome && (
        <span className="text-answer font-bold">
          <OutcomeMark outcome={analysis.outcome} />
        </span>
      )}
      <p role="status" className="text-answer leading-snug font-semibold">
        {verdict}
      </p>
      {rest.map((sentence) => (
        <p key={sentence}>
          <Sentence text={sentence} />
        </p>
      ))}
      {told.length > 0 && (
        <ul className="flex flex-col gap-1.5 border-l-[3px] border-blue pl-2.5">
          {told.map((f, i) => (
            <li key={i}>{benchFindingText(f)}</li>
          ))}
        </ul>
      )}
      {analysis && analysis.severalLengths.length > 0 && <Parted analysis={analysis} />}
      {analysis?.ownCable && <Law law={analysis.ownCable} />}
      {children}
      {stored?.analysis.ownCable && <Made test={stored} nameOf={nameOf} />}
      <p className="mt-auto border-t border-hairline pt-2 text-fine text-soft">
        {BENCH_CAUTIONS[notes.method]}
      </p>
    </aside>
  );
}

/** Cable and connectors, where pieces of different lengths were read. */
function Parted({ analysis }: { analysis: BenchAnalysis }) {
  return (
    <div>
      <p>The lengths part the cable from its connectors:</p>
      <ul className="text-fine">
        {analysis.severalLengths.map((p) => (
          <li key={p.frequencyMHz} className="figures">
            {frequencyText(p.frequencyMHz)}: {fixed(per100(p.cableDbPer100m), 1)} ±{' '}
            {fixed(per100(p.cableUncertaintyDbPer100m), 1)} {unitsBeside().loss}
            {p.sheetDbPer100m !== null && `, sheet ${fixed(per100(p.sheetDbPer100m), 1)}`};
            connectors {fixed(p.connectorsDb, 2)} ± {fixed(p.connectorsUncertaintyDb, 2)} dB
            {p.residualDb !== null && `, off the line by ${fixed(p.residualDb, 2)}`}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A law is seen from so many of its points. */
const MOST_POINTS = 6;

function evenly<T>(all: readonly T[], most: number): readonly T[] {
  const step = Math.max(1, (all.length - 1) / (most - 1));
  return all.filter((_, i) => Math.round(Math.round(i / step) * step) === i);
}

/** The law fitted to the losses, as a cable type has it. */
function Law({ law }: { law: NonNullable<BenchAnalysis['ownCable']> }) {
  return (
    <div className="text-fine text-soft">
      Its law:{' '}
      <span className="figures">
        {plain(per100(law.k1), 3)} √f + {plain(per100(law.k2), 5)} f
      </span>{' '}
      {unitsBeside().loss}, with {fixed(law.jointsDb, 2)} dB in its joints; it misses no reading by
      more than {fixed(law.worstResidualDb, 2)} dB.
      <ul aria-label={`loss by its law, ${unitsBeside().loss}`} className="flex flex-wrap gap-x-4">
        {evenly(law.points, MOST_POINTS).map((p) => (
          <li key={p.frequencyMHz} className="figures">
            {frequencyText(p.frequencyMHz)}: {fixed(per100(p.attenuationDbPer100m), 2)} ±{' '}
            {fixed(per100(p.uncertaintyDbPer100m), 2)}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What can be made of a stored test: a cable type, and with it a row in every plan. */
function Made({ test, nameOf }: { test: BenchTest; nameOf: (key: string) => string }) {
  const { summary } = test;
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState(
    `${summary.piece ?? summary.cableName ?? 'Cable'}, measured`.slice(0, 120),
  );
  const make = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/bench/tests/{id}/cable-type', {
          params: { path: { id: summary.id } },
          body: { name: name.trim() },
        }),
      ),
    onSuccess: (made) => {
      queries.setQueryData(['bench', 'test', summary.id], made);
      for (const key of ['bench', 'cable-types', 'comparison']) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
  const key = summary.madeTypes[0];
  return (
    <div className="flex flex-col gap-1.5 border-t border-hairline pt-2">
      {summary.madeTypes.map((made) => (
        <p key={made}>
          It is{' '}
          <Link className="quiet underline" to={`/cables?type=${made}`}>
            {nameOf(made)}
          </Link>{' '}
          among your cables.
        </p>
      ))}
      {key ? (
        <label className="flex flex-wrap items-baseline gap-2">
          use it in a plan
          <PlanChoice
            label="use it in a plan"
            value=""
            placeholder="which one …"
            onPick={(plan) => void navigate(`/plans/${plan.id}?row=${key}`)}
          />
        </label>
      ) : (
        <form
          className="flex flex-col items-start gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            make.mutate();
          }}
        >
          <input
            aria-label="name of the cable type"
            className="boxed w-full"
            maxLength={120}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button
            type="submit"
            className="quiet font-semibold"
            disabled={make.isPending || name.trim() === ''}
          >
            Make this a cable type of mine
          </button>
        </form>
      )}
      {make.isError && (
        <p role="alert" className="text-fail">
          {capital(make.error.message)}.
        </p>
      )}
    </div>
  );
}
