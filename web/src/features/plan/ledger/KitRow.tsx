import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { FoundKit } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { VerdictMark, verdictColour } from '../../../ui';
import { lengthText, massText, shownReading } from '../../../units';
import { bestInText, rowSummary } from '../../../words';
import { bandName, bandsOf, powerOn, preferenceOf } from '../document/model';
import { partsWith } from '../run/parts';
import { useSheet } from '../sheetContext';
import { CellFigure } from './CellFigure';
import { kitName, packed, runWith } from './kits';
import type { LedgerLayout } from './ledgerLayout';

/** A kit among the rows of the ledger; it is laid into the run, or packed. */
export function KitRow({ extras, roomy, kit }: LedgerLayout & { kit: FoundKit }) {
  const sheet = useSheet();
  const { plan, focus, command } = sheet;
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
            middle={undefined}
          />
        </td>
      ))}
      <td className={`${cell} pr-3 text-right text-small text-soft`}>yours</td>
      {extras.map((extra) => (
        <td key={extra} className={`${cell} pr-3 text-right figures`}>
          {extra === 'mass' && (kit.massKg === null ? '–' : massText(kit.massKg))}
        </td>
      ))}
      <td className={`${cell} pr-2`}>
        <span className="flex flex-wrap items-start gap-x-3">
          <span className={`min-w-[150px] flex-1 leading-tight ${verdictColour(kit.row.verdict)}`}>
            {rowSummary(
              kit.row,
              false,
              preferenceOf(plan),
              bands.map(bandName),
              partsWith(kit.row, sheet),
            )}
            <span className="block text-tiny leading-[12px] text-soft">{bestInText(kit)}</span>
          </span>
          <PackIt name={`${plan.site}, ${plan.name}`} kit={kit} />
          <button
            type="button"
            className="quiet shrink-0"
            aria-label={`Use ${kitName(kit)} in the run`}
            onClick={() => command({ do: 'pick', run: runWith(plan, kit) })}
          >
            Use this kit
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
      aria-label={`Pack ${kitName(kit)}`}
      title={pack.error?.message ?? 'with its adapters and a spare'}
      onClick={() => pack.mutate()}
    >
      Pack it
    </button>
  );
}
