import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../api';
import { answered, api, useCableTypes, useConnectors, usePlans } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField, Select, TextField, Toggle } from '../../ui';
import { fixed, frequencyText, lengthFigure, lengthText, plain } from '../../units';
import { capital } from '../../words';
import { useKeptState } from './useKeptState';

interface Site {
  name: string;
  lengthM: number;
  visits: number;
}

interface SitesAsked {
  sites: Site[];
  cableKey: string;
  connectorKey: string;
  frequencyMHz: number;
  lightest: 'loss' | 'mass';
}

const USUAL: SitesAsked = {
  sites: [
    { name: 'near', lengthM: 5, visits: 1 },
    { name: 'far', lengthM: 15, visits: 1 },
  ],
  cableKey: 'rg-58',
  connectorKey: 'n',
  frequencyMHz: 145,
  lightest: 'loss',
};

const MOST_SITES = 30;

/** Which few lengths would serve all of my sites: one row for each number of pieces, with what each site would take. */
export function LengthSetsPanel() {
  const types = (useCableTypes().data ?? []).filter((t) => !t.retired && !t.balanced);
  const plans = usePlans().data?.items ?? [];
  const [asked, setAsked] = useKeptState<SitesAsked>('sites', USUAL);
  const { sites, cableKey, connectorKey, frequencyMHz, lightest } = asked;
  const setSites = (next: Site[]) => setAsked({ ...asked, sites: next });
  const body = {
    sites,
    cableKey,
    connectorKey,
    frequencyMHz,
    stepM: 1,
    mostPieces: 4,
    lightestFirst: lightest === 'mass',
  };
  const answer = useQuery({
    queryKey: ['locker', 'sets', body],
    queryFn: ({ signal }) => answered(api.POST('/api/locker/length-sets', { body, signal })),
    enabled: types.length > 0 && sites.length > 0,
    placeholderData: keepPreviousData,
  });
  const change = (index: number, part: Partial<Site>) =>
    setSites(sites.map((s, i) => (i === index ? { ...s, ...part } : s)));
  const fromPlans = plans
    .filter((p) => p.sketch?.cableLengthM != null)
    .map((p) => ({
      name: `${p.site}, ${p.name}`,
      lengthM: p.sketch?.cableLengthM ?? 1,
      visits: 1,
    }));
  return (
    <section
      aria-label="lengths for several sites"
      className="flex shrink-0 flex-col gap-2 overflow-y-auto px-4.5 py-3 max-[899px]:border-t max-[899px]:border-hairline min-[900px]:w-[46%]"
    >
      <h2 className="text-answer font-bold">Which lengths would serve my sites?</h2>
      <ul aria-label="sites" className="flex flex-col gap-1">
        {sites.map((s, i) => (
          <SiteRow
            key={i}
            index={i}
            site={s}
            isOnly={sites.length === 1}
            onChange={(part) => change(i, part)}
            onRemove={() => setSites(sites.filter((_, at) => at !== i))}
          />
        ))}
      </ul>
      <span className="flex flex-wrap gap-x-4">
        <button
          type="button"
          className="quiet"
          disabled={sites.length >= MOST_SITES}
          onClick={() =>
            setSites([...sites, { name: `site ${sites.length + 1}`, lengthM: 10, visits: 1 }])
          }
        >
          Add a site
        </button>
        {fromPlans.length > 0 && (
          <button
            type="button"
            className="quiet"
            onClick={() => setSites(fromPlans.slice(0, MOST_SITES))}
          >
            Use the sites of my plans
          </button>
        )}
      </span>
      <MadeOf asked={asked} onChange={setAsked} />
      {answer.isError && (
        <p role="alert" className="text-fail">
          {capital(answer.error.message)}.
        </p>
      )}
      {answer.data && (
        <>
          <Sets sets={answer.data.sets} sites={sites} isOld={answer.isPlaceholderData} />
          <p className="text-small text-soft">
            Two pieces are joined by a barrel, two mated pairs; its loss is counted.{' '}
            {answer.data.proven
              ? 'In whole metres nothing better can be made.'
              : 'The best of what was tried; there may be better ones.'}
          </p>
        </>
      )}
    </section>
  );
}

function SiteRow({
  index: i,
  site: s,
  isOnly,
  onChange,
  onRemove,
}: {
  index: number;
  site: Site;
  isOnly: boolean;
  onChange: (part: Partial<Site>) => void;
  onRemove: () => void;
}) {
  const { lengths } = usePreferences();
  return (
    <li className="flex flex-wrap items-baseline gap-x-2">
      <TextField
        label={`site ${i + 1}`}
        value={s.name}
        onCommit={(name) => onChange({ name })}
        className="w-[18ch]"
      />
      <QuantityField
        label={`length at site ${i + 1}`}
        keptAs={`length of site ${i}`}
        kind="length"
        unit={lengths}
        unitLabel={lengths}
        least={0.1}
        value={s.lengthM}
        show={(v) => lengthFigure(v, lengths)}
        say={(v) => lengthText(v, lengths)}
        onCommit={(lengthM) => onChange({ lengthM })}
      />
      <Select
        label={`visits to site ${i + 1}`}
        value={String(s.visits)}
        options={[1, 2, 3, 5, 10, 20].map((n) => ({
          value: String(n),
          text: n === 1 ? 'once' : `${n} times`,
        }))}
        onChange={(n) => onChange({ visits: Number(n) })}
      />
      <button
        type="button"
        className="quiet text-fine"
        aria-label={`Remove site ${i + 1}`}
        disabled={isOnly}
        onClick={onRemove}
      >
        Remove
      </button>
    </li>
  );
}

/** What the pieces are made of, up to which frequency, and what is wanted most of them. */
function MadeOf({ asked, onChange }: { asked: SitesAsked; onChange: (to: SitesAsked) => void }) {
  const types = (useCableTypes().data ?? []).filter((t) => !t.retired && !t.balanced);
  const connectors = useConnectors().data ?? [];
  const { cableKey, connectorKey, frequencyMHz, lightest } = asked;
  return (
    <span className="flex flex-wrap items-baseline gap-x-2">
      <span className="text-soft">of</span>
      <Select
        label="cable of the set"
        value={cableKey}
        options={types.map((t) => ({ value: t.key, text: t.name }))}
        onChange={(key) => onChange({ ...asked, cableKey: key })}
      />
      <span className="text-soft">with</span>
      <Select
        label="connector of the set"
        value={connectorKey}
        options={connectors.map((c) => ({ value: c.key, text: c.name }))}
        onChange={(key) => onChange({ ...asked, connectorKey: key })}
      />
      <span className="text-soft">plugs, up to</span>
      <QuantityField
        label="highest frequency"
        kind="frequency"
        unit="mhz"
        unitLabel="MHz"
        value={frequencyMHz}
        show={(v) => plain(v)}
        say={frequencyText}
        onCommit={(f) => onChange({ ...asked, frequencyMHz: f })}
      />
      <Toggle
        label="what is wanted most"
        value={lightest}
        options={[
          ['loss', 'least loss'],
          ['mass', 'least to carry'],
        ]}
        onChange={(most) => onChange({ ...asked, lightest: most })}
      />
    </span>
  );
}

/** One row for each number of pieces. */
function Sets({
  sets,
  sites,
  isOld,
}: {
  sets: Schemas['LengthSetResponse']['sets'];
  sites: Site[];
  isOld: boolean;
}) {
  const { lengths } = usePreferences();
  return (
    <table className={`w-full ${isOld ? 'opacity-45' : ''}`}>
      <thead>
        <tr className="border-b border-hairline text-left text-small text-soft [&>th]:font-normal">
          <th scope="col">lengths</th>
          <th scope="col" className="text-right">
            mean loss, dB
          </th>
          <th scope="col" className="text-right">
            worst, dB
          </th>
          <th scope="col" className="text-right">
            to carry, kg
          </th>
        </tr>
      </thead>
      <tbody>
        {sets.map((s) => (
          <tr key={s.lengthsM.length} className="border-b border-hairline align-top">
            <th scope="row" className="py-1 text-left font-semibold">
              {s.lengthsM.map((l) => lengthText(l, lengths)).join(' + ')}
              <span className="block text-small font-normal text-soft">
                {s.uses
                  .map(
                    (u, i) =>
                      `${sites[i]?.name ?? ''}: ${u.lengthsM.map((l) => lengthFigure(l, lengths)).join(' + ')}`,
                  )
                  .join('; ')}
              </span>
            </th>
            <td className="figures py-1 text-right">{fixed(s.meanLossDb, 2)}</td>
            <td className="figures py-1 text-right">{fixed(s.worstLossDb, 2)}</td>
            <td className="figures py-1 text-right">
              {s.massKg === null ? '–' : fixed(s.massKg, 1)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
