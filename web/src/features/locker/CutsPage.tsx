import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { answered, api } from '../../api';
import { PlanChoice } from '../../app/PlanChoice';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { UndoButtons } from '../../app/UndoButtons';
import { QuantityField, TextField, useUndo } from '../../ui';
import { lengthFigure, lengthText } from '../../units';
import { capital } from '../../words';
import { CutReel } from './CutReel';
import { LockerLinks } from './LockerLinks';
import { useKeptState } from './useKeptState';

interface Length {
  name: string;
  lengthM: number;
}

interface CutsAsked {
  cuts: Length[];
  reels: Length[];
  soldInM?: number;
  allowances: { eachEndM: number; dripLoopM: number; serviceLoopM: number };
}

const NOTHING_ASKED: CutsAsked = {
  cuts: [],
  reels: [],
  soldInM: 100,
  allowances: { eachEndM: 0.1, dripLoopM: 0.3, serviceLoopM: 0.5 },
};

const ALLOWANCES = [
  ['eachEndM', 'at each end, to strip and try again'],
  ['dripLoopM', 'for the drip loop'],
  ['serviceLoopM', 'for the service loop'],
] as const;

const MOST_CUTS = 100;

/** What to cut from which reel for several plans, with least waste; drawn as the reels are unrolled. */
export function CutsPage() {
  const { lengths } = usePreferences();
  const [asked, keep] = useKeptState<CutsAsked>('cuts', NOTHING_ASKED);
  const steps = useUndo(asked, keep);
  const setAsked = steps.change;
  const { cuts, reels, soldInM, allowances } = asked;
  const setCuts = (next: Length[]) => setAsked({ ...asked, cuts: next });
  const setReels = (next: Length[]) => setAsked({ ...asked, reels: next });
  const setSoldInM = (next: number | undefined) => setAsked({ ...asked, soldInM: next });
  const setAllowances = (next: typeof allowances) => setAsked({ ...asked, allowances: next });
  const body = { cuts, reels, soldInM, allowances };
  const canCut = cuts.length > 0 && (reels.length > 0 || soldInM !== undefined);
  const answer = useQuery({
    queryKey: ['locker', 'cuts', body],
    queryFn: ({ signal }) => answered(api.POST('/api/locker/cut-plans', { body, signal })),
    enabled: canCut,
    placeholderData: keepPreviousData,
  });
  const plan = canCut ? answer.data : undefined;
  const longestM = Math.max(1, ...(plan?.reels ?? []).map((r) => r.lengthM));
  return (
    <Shell here="Cutting">
      <main className="flex min-h-0 flex-1 flex-col max-[899px]:overflow-y-auto min-[900px]:flex-row">
        <section
          aria-label="cut plan"
          className="flex min-w-0 flex-col gap-3 px-4.5 py-2 min-[900px]:flex-1 min-[900px]:overflow-y-auto"
        >
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h1 className="text-title font-bold">Cutting</h1>
            <LockerLinks here="cuts" />
            <UndoButtons steps={steps} />
          </div>
          {!canCut && (
            <p className="text-soft">
              Add a run or take one from a plan, and the reels are drawn here with their cuts.
            </p>
          )}
          {answer.isError && (
            <p role="alert" className="text-fail">
              {capital(answer.error.message)}.
            </p>
          )}
          {plan && (
            <div className={answer.isPlaceholderData ? 'opacity-45' : ''}>
              <p className="mb-3">
                {lengthText(plan.neededM, lengths)} are needed
                {plan.boughtM > 0 && `, ${lengthText(plan.boughtM, lengths)} are bought`};{' '}
                {lengthText(plan.leftM, lengths)} are left
                {plan.reels.length > 1 &&
                  `, ${lengthText(plan.longestRestM, lengths)} of them in one piece`}
                .{' '}
                <span className="text-soft">
                  {plan.proven
                    ? 'Nothing less can be wasted.'
                    : 'The best of what was tried; less may be wasted another way.'}
                </span>
              </p>
              {plan.uncut.length > 0 && (
                <p role="alert" className="mb-3 text-fail">
                  No reel has room for{' '}
                  {plan.uncut
                    .map((c) => `${c.name} (${lengthText(c.lengthM, lengths)})`)
                    .join(', ')}
                  .
                </p>
              )}
              <ol aria-label="reels" className="flex flex-col gap-4">
                {plan.reels.map((r) => (
                  <CutReel key={r.name} reel={r} longestM={longestM} />
                ))}
              </ol>
            </div>
          )}
        </section>
        <section
          aria-label="what is needed"
          className="flex min-h-0 min-w-0 flex-col gap-3 px-4 py-2 max-[899px]:border-t max-[899px]:border-hairline min-[900px]:w-[38%] min-[900px]:overflow-y-auto min-[900px]:border-l min-[900px]:border-hairline"
        >
          <h2 className="font-bold">Runs to cut for, of one cable</h2>
          <Lengths
            what="run"
            list={cuts}
            onChange={setCuts}
            empty="None yet: add one, or take it from a plan."
          />
          {cuts.length < MOST_CUTS && (
            <span className="flex flex-wrap gap-x-3">
              <PlanChoice
                label="a run of a plan"
                value=""
                placeholder="Add the run of a plan …"
                fits={(plan) => plan.sketch !== null}
                textOf={(plan) => `${plan.site}, ${plan.name} (${plan.sketch?.cableName})`}
                onPick={({ site, name, sketch }) =>
                  sketch &&
                  setCuts([...cuts, { name: `${site}, ${name}`, lengthM: sketch.cableLengthM }])
                }
              />
            </span>
          )}
          <h2 className="font-bold">Cut longer by</h2>
          <ul className="flex flex-col gap-0.5">
            {ALLOWANCES.map(([name, text]) => (
              <li key={name} className="flex items-baseline gap-2">
                <QuantityField
                  label={`allowance ${text}`}
                  keptAs={name}
                  kind="length"
                  unit={lengths}
                  unitLabel={lengths}
                  value={allowances[name]}
                  show={(v) => lengthFigure(v, lengths)}
                  say={(v) => lengthText(v, lengths)}
                  onCommit={(m) => setAllowances({ ...allowances, [name]: m })}
                />
                <span className="text-soft">{text}</span>
              </li>
            ))}
          </ul>
          <h2 className="font-bold">Reels at hand</h2>
          <Lengths what="reel" list={reels} onChange={setReels} empty="None." />
          <span className="flex items-baseline gap-2">
            <span className="text-soft">More can be bought in lengths of</span>
            {soldInM === undefined ? (
              <button type="button" className="quiet" onClick={() => setSoldInM(100)}>
                nothing is bought
              </button>
            ) : (
              <>
                <QuantityField
                  label="length of a new reel"
                  kind="length"
                  unit={lengths}
                  unitLabel={lengths}
                  least={0.1}
                  value={soldInM}
                  show={(v) => lengthFigure(v, lengths)}
                  say={(v) => lengthText(v, lengths)}
                  onCommit={setSoldInM}
                />
                <button type="button" className="quiet" onClick={() => setSoldInM(undefined)}>
                  Buy nothing
                </button>
              </>
            )}
          </span>
        </section>
      </main>
    </Shell>
  );
}

function Lengths({
  what,
  list,
  empty,
  onChange,
}: {
  what: string;
  list: readonly Length[];
  empty: string;
  onChange: (list: Length[]) => void;
}) {
  const { lengths } = usePreferences();
  const change = (index: number, part: Partial<Length>) =>
    onChange(list.map((l, i) => (i === index ? { ...l, ...part } : l)));
  return (
    <div className="flex flex-col gap-1">
      {list.length === 0 && <p className="text-soft">{empty}</p>}
      {list.map((l, i) => (
        <span key={i} className="flex flex-wrap items-baseline gap-x-2">
          <TextField
            label={`name of ${what} ${i + 1}`}
            value={l.name}
            onCommit={(name) => change(i, { name })}
            className="w-[24ch]"
          />
          <QuantityField
            label={`length of ${what} ${i + 1}`}
            keptAs={`${what} ${i}`}
            kind="length"
            unit={lengths}
            unitLabel={lengths}
            least={0.01}
            value={l.lengthM}
            show={(v) => lengthFigure(v, lengths)}
            say={(v) => lengthText(v, lengths)}
            onCommit={(lengthM) => change(i, { lengthM })}
          />
          <button
            type="button"
            className="quiet text-fine"
            aria-label={`Remove ${what} ${i + 1}`}
            onClick={() => onChange(list.filter((_, at) => at !== i))}
          >
            Remove
          </button>
        </span>
      ))}
      <button
        type="button"
        className="quiet self-start"
        onClick={() => onChange([...list, { name: `${what} ${list.length + 1}`, lengthM: 20 }])}
      >
        Add a {what}
      </button>
    </div>
  );
}
