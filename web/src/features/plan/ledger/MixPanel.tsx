import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { CableType, Connector, Row } from '../../../api';
import { answered, api } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, Select, VerdictMark, verdictColour } from '../../../ui';
import { lengthFigure, lengthText, moneyFigure } from '../../../units';
import { rowSummary } from '../../../words';
import type { Command } from '../document/commands';
import { laid, sectionsIn, withTail } from './mix';
import type { Plan } from '../document/model';
import {
  bandName,
  bandsOf,
  candidateLengthM,
  comparisonOf,
  ownCablesOf,
  preferenceOf,
  runOf,
} from '../document/model';

const USUAL_TAIL_M = 3;

/** Two cables for one run: thick to the mast, and a flexible tail. */
export function MixPanel({
  plan,
  catalogue,
  connectors,
  onCommand,
  onClose,
}: {
  plan: Plan;
  catalogue: CableType[];
  connectors: Connector[];
  onCommand: (command: Command) => void;
  onClose: () => void;
}) {
  const { lengths, settings } = usePreferences();
  const [tailM, setTailM] = useState(USUAL_TAIL_M);
  const [connectorKey, setConnectorKey] = useState('n');
  const [stopped, setStopped] = useState(false);
  const isSplit = sectionsIn(runOf(plan)) > 1;
  const run = useMemo(
    () => (isSplit ? runOf(plan) : withTail(runOf(plan), tailM, connectorKey)),
    [plan, isSplit, tailM, connectorKey],
  );
  const isTooLong = sectionsIn(run) < 2;
  const comparison = useMemo(
    () => ({ ...comparisonOf(plan, catalogue, settings.tolerances, []), run }),
    [plan, catalogue, settings.tolerances, run],
  );
  const answer = useQuery({
    queryKey: ['mixes', comparison],
    queryFn: ({ signal }) => answered(api.POST('/api/mixes', { body: { comparison }, signal })),
    enabled: !isTooLong && !stopped,
    staleTime: 60_000,
  });
  const found = answer.data;
  return (
    <section
      aria-label="mixes"
      className="flex shrink-0 flex-col gap-1.5 print:hidden border-b border-hairline bg-raised px-4 py-2"
    >
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-semibold">A mix:</span>
        {isSplit ? (
          <span>another cable in each section that is up for choice.</span>
        ) : (
          <>
            <span className="text-soft">a tail of</span>
            <QuantityField
              label="length of the tail"
              kind="length"
              unit={lengths}
              unitLabel={lengths}
              value={tailM}
              least={0.1}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={(v) => {
                setStopped(false);
                setTailM(v);
              }}
            />
            <span className="text-soft">at the antenna, joined by</span>
            <Select
              label="connector of the tail"
              value={connectorKey}
              options={connectors.map((c) => ({ value: c.key, text: c.name }))}
              onChange={setConnectorKey}
            />
            <span className="text-soft">
              The tail alone has to move and to bend again and again.
            </span>
          </>
        )}
        <button type="button" className="quiet ml-auto" onClick={onClose}>
          close
        </button>
      </p>
      {isTooLong && (
        <p role="alert" className="text-fail">
          The tail must be shorter than the {lengthText(candidateLengthM(plan), lengths)} that are
          up for choice.
        </p>
      )}
      {answer.isFetching && (
        <p role="status">
          Trying cables together …{' '}
          <button type="button" className="quiet" onClick={() => setStopped(true)}>
            stop
          </button>
        </p>
      )}
      {stopped && (
        <p>
          Stopped.{' '}
          <button type="button" className="quiet" onClick={() => setStopped(false)}>
            Go on
          </button>
        </p>
      )}
      {answer.error && (
        <p role="alert" className="text-fail">
          {answer.error.message}.
        </p>
      )}
      {found && !stopped && (
        <>
          <ol className="flex flex-col">
            {found.rows.map((row) => (
              <Mix
                key={row.id}
                row={row}
                plan={plan}
                onLay={() => {
                  onCommand({ do: 'layRun', run: laid(run, row, ownCablesOf(plan)) });
                  onClose();
                }}
              />
            ))}
          </ol>
          <p className="text-small text-soft">
            {found.proven
              ? 'No other mix is better.'
              : 'The best of what was tried; there may be better ones.'}
          </p>
        </>
      )}
    </section>
  );
}

function Mix({ row, plan, onLay }: { row: Row; plan: Plan; onLay: () => void }) {
  const { lengths } = usePreferences();
  const parts = row.assignment.map((a) => lengthText(a.lengthM, lengths)).join(' + ');
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1">
      <VerdictMark verdict={row.verdict} />
      <span className="font-semibold">{row.name}</span>
      <span className="figures text-fine text-soft">{parts}</span>
      <span className="figures">
        {row.cost ? `${moneyFigure(row.cost.amount)} ${row.cost.currency}` : 'no price'}
      </span>
      <span className={verdictColour(row.verdict)}>
        {rowSummary(row, false, preferenceOf(plan), bandsOf(plan).map(bandName))}
      </span>
      <button
        type="button"
        className="quiet ml-auto"
        aria-label={`lay ${row.name} into the run`}
        onClick={onLay}
      >
        lay it
      </button>
    </li>
  );
}
