import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { CableType, FoundKit, FoundKits } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { VerdictMark, verdictColour } from '../../../ui';
import { lengthText, shownReading } from '../../../units';
import { bestInText, leftOutText, rowSummary } from '../../../words';
import type { Command } from '../document/commands';
import { bestFirst, kitName, packed, runWith } from './kits';
import { CellFigure } from './LedgerRow';
import type { Plan } from '../document/model';
import { bandName, bandsOf, powerOn, preferenceOf } from '../document/model';
import { useOwnKits } from './useOwnKits';

interface Props {
  plan: Plan;
  catalogue: CableType[];
  focus: number;
  wide: boolean;
  roomy: boolean;
  onCommand: (command: Command) => void;
}

/** What I have, above what I could buy: the run made of pieces of the locker, its joints counted. */
export function KitRows(props: Props) {
  const { plan, catalogue, wide } = props;
  const { lengths } = usePreferences();
  const [open, setOpen] = useState(false);
  const found = useOwnKits(plan, catalogue);
  if (!found) return null;
  const kits = bestFirst(found.kits);
  const columns = bandsOf(plan).length + (wide ? 6 : 4);
  const more = kits.length - 1;
  return (
    <tbody data-testid="what-i-have" className="print:hidden">
      {(open ? kits : kits.slice(0, 1)).map((kit) => (
        <KitRow key={kitName(kit)} {...props} kit={kit} />
      ))}
      <tr>
        <td colSpan={columns} className="border-b border-control px-3 pb-1 text-small text-soft">
          {kits.length === 0 ? (
            <>
              What you have does not reach: {lengthText(found.shortByM ?? 0, lengths)} short of{' '}
              {lengthText(found.wantedM, lengths)}.{' '}
            </>
          ) : (
            'What you have, with its joints; below it what you could buy. '
          )}
          {open && leftOutText(found)}{' '}
          {more > 0 && (
            <button
              type="button"
              className="quiet"
              aria-expanded={open}
              onClick={() => setOpen(!open)}
            >
              {open ? 'only the first' : `${more} other ${more === 1 ? 'way' : 'ways'}`}
            </button>
          )}{' '}
          <Link className="quiet underline" to="/locker">
            locker
          </Link>
        </td>
      </tr>
    </tbody>
  );
}

function KitRow({ plan, focus, wide, roomy, kit, onCommand }: Props & { kit: FoundKit }) {
  const { reading, lengths } = usePreferences();
  const bands = bandsOf(plan);
  const cell = 'border-b border-hairline py-[3px] align-middle';
  return (
    <tr data-kit={kitName(kit)} data-verdict={kit.row.verdict}>
      <td className={`${cell} border-l-[3px] border-l-transparent pl-2`}>
        <VerdictMark verdict={kit.row.verdict} />
      </td>
      <th scope="row" className={`${cell} text-left font-semibold`}>
        <span className="line-clamp-2 leading-tight" title={kitName(kit)}>
          {kitName(kit)}
        </span>
        <span className="block text-tiny leading-[11px] font-normal text-soft">
          {lengthText(kit.lengthM, lengths)}, {kit.matedPairs} mated pairs
        </span>
      </th>
      {kit.row.cells.map((c, i) => (
        <td
          key={bands[i]?.id ?? i}
          className={`${cell} text-right ${roomy || i === focus ? 'pr-3' : 'pr-0.5'}`}
        >
          <CellFigure
            cell={c}
            base={undefined}
            reading={shownReading(reading, powerOn(plan, bands[i]) !== null)}
            wide={i === focus}
            sends={powerOn(plan, bands[i]) !== null}
          />
        </td>
      ))}
      <td className={`${cell} pr-3 text-right text-small text-soft`}>yours</td>
      {wide && (
        <td className={`${cell} pr-3 text-right figures`}>
          {kit.massKg === null ? '–' : kit.massKg.toFixed(1)}
        </td>
      )}
      {wide && <td className={cell} />}
      <td className={`${cell} pr-2`}>
        <span className="flex items-start gap-3">
          <span className={`min-w-0 flex-1 leading-tight ${verdictColour(kit.row.verdict)}`}>
            {rowSummary(kit.row, false, preferenceOf(plan), bands.map(bandName))}
            <span className="block text-tiny leading-[12px] text-soft">{bestInText(kit)}</span>
          </span>
          <PackIt name={`${plan.site}, ${plan.name}`} kit={kit} />
          <button
            type="button"
            className="quiet shrink-0"
            aria-label={`lay ${kitName(kit)} into the run`}
            onClick={() => onCommand({ do: 'layRun', run: runWith(plan, kit) })}
          >
            lay it
          </button>
        </span>
      </td>
    </tr>
  );
}

/** Keeps a kit with its adapters, one more of each kind, and a spare piece where there is one. */
function PackIt({ name, kit }: { name: string; kit: FoundKit }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const pack = useMutation({
    mutationFn: () => answered(api.POST('/api/locker/kits', { body: packed(kit, name) })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker'] });
      void navigate('/locker/kits');
    },
  });
  return (
    <button
      type="button"
      className="quiet shrink-0"
      aria-label={`pack ${kitName(kit)}`}
      title={pack.error?.message ?? 'with its adapters and a spare'}
      onClick={() => pack.mutate()}
    >
      pack it
    </button>
  );
}

/** The same for a phone. */
export function KitLine({
  plan,
  catalogue,
  onCommand,
}: Pick<Props, 'plan' | 'catalogue' | 'onCommand'>) {
  const { lengths } = usePreferences();
  const found: FoundKits | undefined = useOwnKits(plan, catalogue);
  const best = found && bestFirst(found.kits)[0];
  if (!found) return null;
  return (
    <p
      data-testid="what-i-have"
      className="flex flex-wrap items-baseline gap-x-2 border-b border-hairline px-4 py-2 text-body print:hidden"
    >
      {best ? (
        <>
          <VerdictMark verdict={best.row.verdict} />
          <span>
            What you have: <span className="font-semibold">{kitName(best)}</span>
          </span>
          <span className={verdictColour(best.row.verdict)}>
            {rowSummary(best.row, false, preferenceOf(plan), bandsOf(plan).map(bandName))}
          </span>
          <button
            type="button"
            className="quiet"
            onClick={() => onCommand({ do: 'layRun', run: runWith(plan, best) })}
          >
            lay it
          </button>
        </>
      ) : (
        <span className="text-soft">
          What you have does not reach: {lengthText(found.shortByM ?? 0, lengths)} short.
        </span>
      )}
    </p>
  );
}
