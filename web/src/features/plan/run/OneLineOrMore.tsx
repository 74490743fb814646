import { useMemo } from 'react';
import type { Row } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { figureOf, massText, shownReading, unitOf } from '../../../units';
import { moneyText } from '../../../words';
import { aloneOn, portsOf } from '../document/branches';
import type { Plan } from '../document/model';
import { bandName, bandsOf, comparisonOf, powerOn, runOf } from '../document/model';
import { useSheet } from '../sheetContext';

/** One line with forks, or a line for each branch: what each costs, weighs and brings, with the cable that lies in the run. */
export function OneLineOrMore() {
  const { plan, row } = useSheet();
  const ports = portsOf(runOf(plan));
  if (!row) return null;
  return (
    <div className="flex flex-col gap-1 border-t border-hairline pt-1">
      <p className="font-semibold">One line, or a line for each?</p>
      <Way text="one line, with its forks" row={row} plan={plan} />
      {ports.map((p) => (
        <Alone key={p.branch} branch={p.branch} name={p.name ?? p.branch} rowId={row.id} />
      ))}
      <p className="text-small text-soft">
        Each line of its own with {row.name}, its own connectors, and without the forks. In a duct
        it takes the room of one cable more.
      </p>
    </div>
  );
}

function Alone({ branch, name, rowId }: { branch: string; name: string; rowId: string }) {
  const { plan } = useSheet();
  const { tolerances } = usePreferences().settings;
  const alone = useMemo(() => aloneOn(plan, branch), [plan, branch]);
  const request = useMemo(() => comparisonOf(alone, tolerances, []), [alone, tolerances]);
  const isEmpty = bandsOf(alone).length === 0;
  const row = useLedger(isEmpty ? null : request).data?.rows.find((r) => r.id === rowId);
  if (isEmpty) return <p className="text-soft">{name}: no band goes there yet</p>;
  return row ? <Way text={`${name} alone`} row={row} plan={alone} /> : <p>{name} …</p>;
}

function Way({ text, row, plan }: { text: string; row: Row; plan: Plan }) {
  const { reading } = usePreferences();
  return (
    <p className="flex flex-wrap justify-between gap-x-3">
      <span>{text}</span>
      <span className="figures">
        {row.cost ? moneyText(row.cost) : 'no price'}
        {row.mass && `, ${massText(row.mass.totalKg)}`}
      </span>
      <span className="figures w-full text-right text-small text-soft">
        {row.cells
          .map((cell, i) => {
            const band = bandsOf(plan)[i];
            const shown = shownReading(reading, powerOn(plan, band) !== null);
            return cell.totalLossDb === null
              ? `${bandName(band)} –`
              : `${bandName(band)} ${figureOf({ lossDb: cell.totalLossDb, watts: cell.powerAtAntennaW }, shown)} ${unitOf(shown)}`;
          })
          .join(', ')}
      </span>
    </p>
  );
}
