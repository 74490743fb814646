import { Fact, QuantityField, Select, TextField } from '../../../ui';
import { plain } from '../../../units';
import type { Fork, Port } from '../document/branches';
import { towardOf } from '../document/branches';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { Bears, Name } from './ElementAmounts';
import { LossTable } from './LossTable';
import { OneLineOrMore } from './OneLineOrMore';
import { OtherWays } from './OtherWays';

const FORMS = [
  { value: 'DIPLEXER', text: 'by frequency' },
  { value: 'SPLITTER', text: 'in equal parts' },
] as const;

/** Where the run forks: how it shares out, and what each of its ports loses. */
export function ForkFacts({ fork, index }: { fork: Fork; index: number }) {
  const { plan, command } = useSheet();
  const change = (to: Partial<Fork>) =>
    command({ do: 'changeElement', element: index, to: { ...fork, ...to } });
  const ports = fork.ports ?? [];
  const isSplitter = fork.form === 'SPLITTER';
  return (
    <>
      <Name element={fork} index={index} />
      <Fact label="shares out">
        <Select
          label="how the fork shares out"
          value={fork.form ?? 'DIPLEXER'}
          options={[...FORMS]}
          onChange={(form) => change({ form })}
        />
      </Fact>
      {ports.map((port, i) => (
        <PortFacts
          key={port.branch}
          of={`${fork.id ?? index} ${port.branch}`}
          port={port}
          lossFact={isSplitter ? 'loses beside the split' : 'loses'}
          onChange={(to) => change({ ports: ports.with(i, { ...port, ...to }) })}
        />
      ))}
      <Bears element={fork} index={index} />
      <p className="text-small text-soft">
        Its ports lead{' '}
        {towardOf(runOf(plan), index) === 'RADIOS' ? 'to the radios' : 'to the antennas'} and do not
        hear each other. Each band goes through one of them: it is set in the band.
      </p>
      <div className="flex flex-wrap gap-x-3">
        <OtherWays />
      </div>
      <OneLineOrMore />
    </>
  );
}

function PortFacts({
  of,
  port,
  lossFact,
  onChange,
}: {
  of: string;
  port: Port;
  lossFact: string;
  onChange: (to: Partial<Port>) => void;
}) {
  const { trouble } = useSheet();
  const name = port.name ?? port.branch;
  return (
    <div className="border-t border-hairline pt-1">
      <Fact label="port to">
        <TextField
          label={`name of ${name}`}
          value={name}
          onCommit={(to) => onChange({ name: to })}
        />
      </Fact>
      {port.lossByFrequency === undefined && (
        <Fact label={lossFact}>
          <QuantityField
            label={`loss to ${name}`}
            keptAs={`port ${of}`}
            kind="elementLoss"
            unit="db"
            unitLabel="dB"
            value={port.lossDb ?? 0}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} dB`}
            onCommit={(lossDb) => onChange({ lossDb })}
            onTrouble={(message) => trouble(`port ${of}`, message)}
          />
        </Fact>
      )}
      <LossTable
        of={name}
        points={port.lossByFrequency}
        onChange={(lossByFrequency) =>
          onChange(
            lossByFrequency
              ? { lossByFrequency, lossDb: undefined }
              : { lossByFrequency: undefined, lossDb: port.lossByFrequency?.[0]?.lossDb },
          )
        }
      />
    </div>
  );
}
