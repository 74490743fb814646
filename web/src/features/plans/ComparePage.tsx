import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import type { BandAssessment, PlanSummary, StoredPlan } from '../../api';
import { answered, api, usePlans } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { Select } from '../../ui';
import { fixed, levelText, shownReading } from '../../units';
import type { Reading } from '../../units';
import { besideEachOther } from '../../words';
import { paired } from './pairing';
import type { Pair } from './pairing';
import { Sketch } from './Sketch';

/** Two plans side by side, band by band: another cable, open wire instead of coax, the matching unit here or there. */
export function ComparePage() {
  const [params, setParams] = useSearchParams();
  const plans = usePlans().data ?? [];
  const a = params.get('a') ?? plans[0]?.id ?? null;
  const b = params.get('b') ?? otherOf(plans, a);
  const left = useAssessedPlan(a);
  const right = useAssessedPlan(b);
  const put = (side: 'a' | 'b', id: string) =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        if (a) after.set('a', a);
        if (b) after.set('b', b);
        after.set(side, id);
        return after;
      },
      { replace: true },
    );

  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-5xl flex-col gap-4">
          <h1 className="text-title font-bold">Two plans side by side</h1>
          {plans.length === 1 && (
            <p className="text-soft">
              There is only one plan. Make a variant of it on the{' '}
              <Link to="/plans" className="quiet">
                plans sheet
              </Link>{' '}
              and change what is to be compared.
            </p>
          )}
          <div className="grid gap-4 min-[700px]:grid-cols-2">
            <Side letter="A" id={a} plans={plans} side={left} onPick={(id) => put('a', id)} />
            <Side letter="B" id={b} plans={plans} side={right} onPick={(id) => put('b', id)} />
          </div>
          {left.data && right.data && <BandByBand left={left.data} right={right.data} />}
        </div>
      </main>
    </Shell>
  );
}

interface Assessed {
  plan: StoredPlan;
  bands: BandAssessment[];
}

/** Another plan of the same site, or any other. */
function otherOf(plans: PlanSummary[], id: string | null): string | null {
  const site = plans.find((p) => p.id === id)?.site;
  const others = plans.filter((p) => p.id !== id);
  return (others.find((p) => p.site === site) ?? others[0])?.id ?? null;
}

function useAssessedPlan(id: string | null) {
  return useQuery({
    queryKey: ['assessed', id],
    enabled: id !== null,
    queryFn: async (): Promise<Assessed> => {
      const plan = await answered(
        api.GET('/api/plans/{id}', { params: { path: { id: id as string } } }),
      );
      const { bands } = await answered(
        api.POST('/api/assessments', { body: plan.document.assessment ?? {} }),
      );
      return { plan, bands };
    },
  });
}

function Side({
  letter,
  id,
  plans,
  side,
  onPick,
}: {
  letter: string;
  id: string | null;
  plans: PlanSummary[];
  side: ReturnType<typeof useAssessedPlan>;
  onPick: (id: string) => void;
}) {
  const plan = plans.find((p) => p.id === id);
  return (
    <section aria-label={`plan ${letter}`} className="flex flex-col gap-2 border-t border-ink pt-2">
      <span className="flex items-baseline gap-2">
        <b className="text-heading">{letter}</b>
        <Select
          label={`plan ${letter}`}
          value={id ?? ''}
          options={plans.map((p) => ({
            value: p.id,
            text: [p.site, p.name].filter(Boolean).join(': '),
          }))}
          onChange={onPick}
          className="min-w-0 flex-1 font-semibold"
        />
        {id && (
          <Link to={`/plans/${id}`} className="quiet">
            open
          </Link>
        )}
      </span>
      {plan?.sketch && <Sketch sketch={plan.sketch} />}
      {side.isPending && id !== null && <p role="status">computing …</p>}
      {side.error && (
        <p role="alert" className="text-fail">
          {side.error.message}.
        </p>
      )}
    </section>
  );
}

function BandByBand({ left, right }: { left: Assessed; right: Assessed }) {
  const { reading } = usePreferences();
  const pairs = paired(left.bands, right.bands);
  return (
    <>
      <p>{besideEachOther(pairs)}</p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="band by band">
        <table className="w-full border-collapse [&_td]:py-1 [&_td]:pr-4 [&_th]:pr-4">
          <thead>
            <tr className="border-b border-hairline text-left text-small text-soft [&>th]:font-normal">
              <th scope="col">band</th>
              <th scope="col">plan</th>
              <th scope="col" className="text-right">
                arrives
              </th>
              <th scope="col" className="text-right">
                B against A
              </th>
              <th scope="col" className="text-right">
                in cable and joints
              </th>
              <th scope="col" className="text-right">
                more because of SWR
              </th>
              <th scope="col" className="text-right">
                never left the radio
              </th>
              <th scope="col" className="text-right">
                SWR at radio
              </th>
              <th scope="col" className="text-right">
                at antenna
              </th>
            </tr>
          </thead>
          {pairs.map((pair) => (
            <tbody key={pair.name} className="border-b border-hairline">
              <PlanRow pair={pair} letter="A" of={pair.a} reading={reading} />
              <PlanRow pair={pair} letter="B" of={pair.b} reading={reading} />
            </tbody>
          ))}
        </table>
      </div>
    </>
  );
}

function PlanRow({
  pair,
  letter,
  of,
  reading,
}: {
  pair: Pair;
  letter: 'A' | 'B';
  of: BandAssessment | null;
  reading: Reading;
}) {
  const gain = pair.a && pair.b ? pair.a.totalLossDb - pair.b.totalLossDb : null;
  const db = (value: number) => `${fixed(value, 2)} dB`;
  const swr = (value: number | null) => (value === null ? '∞' : fixed(value, 2));
  const shown = shownReading(reading, of?.powerAtAntennaW != null);
  return (
    <tr>
      {letter === 'A' && (
        <th scope="rowgroup" rowSpan={2} className="text-left align-top font-semibold">
          {pair.name}
        </th>
      )}
      <td>{letter}</td>
      {of === null ? (
        <td colSpan={7} className="text-soft">
          this plan has no such band
        </td>
      ) : (
        <>
          <td className="figures text-right font-semibold">
            {levelText({ lossDb: of.totalLossDb, watts: of.powerAtAntennaW }, shown)}
          </td>
          <td className={`figures text-right ${gain !== null && gain < 0 ? 'text-fail' : ''}`}>
            {letter === 'B' && gain !== null && `${gain >= 0 ? '+' : ''}${db(gain)}`}
          </td>
          <td className="figures text-right">{db(of.matchedLossDb + of.matchingLossDb)}</td>
          <td className="figures text-right">{db(of.mismatchLossDb)}</td>
          <td className="figures text-right">{db(of.reflectionLossDb + of.foldbackDb)}</td>
          <td className="figures text-right">{swr(of.swrAtRadio)}</td>
          <td className="figures text-right">{swr(of.swrAtAntenna)}</td>
        </>
      )}
    </tr>
  );
}
