import type { ComponentProps } from 'react';
import { Fact, QuantityField, TextField } from '../../../ui';
import { plain, powerText } from '../../../units';
import type { Element, Line } from '../document/model';
import { useSheet } from '../sheetContext';

export type Rated = Extract<Element, { kind: 'DEVICE' | 'TRANSFORMER' | 'FORK' }>;

/** What loses a number of dB of its own. */
type Losing = Exclude<Element, Line | { kind: 'PREAMPLIFIER' | 'FORK' }>;

interface Props {
  element: Element;
  index: number;
}

export function Name({ element, index }: Props) {
  const { command } = useSheet();
  return (
    <Fact label="name">
      <TextField
        label="name of the device"
        value={element.name ?? ''}
        onCommit={(name) =>
          command({ do: 'changeElement', element: index, to: { ...element, name } })
        }
      />
    </Fact>
  );
}

export function Loss({ element, index }: { element: Losing; index: number }) {
  const { command } = useSheet();
  return (
    <Amount
      of={{ element, index }}
      fact="loses"
      label="own loss"
      name="loss"
      kind="elementLoss"
      unit="db"
      unitLabel="dB"
      value={element.lossDb ?? 0}
      say={(v) => `${plain(v)} dB`}
      onCommit={(lossDb) =>
        command({ do: 'changeElement', element: index, to: { ...element, lossDb } })
      }
    />
  );
}

/** What its maker says that it bears; what nobody has said is not judged. */
export function Bears({ element, index }: { element: Rated; index: number }) {
  const { command } = useSheet();
  const change = (to: Partial<Rated>) =>
    command({ do: 'changeElement', element: index, to: { ...element, ...to } as Element });
  return (
    <>
      <Amount
        of={{ element, index }}
        fact="bears on average"
        label="average power it bears"
        name="bears"
        kind="power"
        unit="w"
        unitLabel="W"
        value={element.averagePowerW}
        say={powerText}
        onCommit={(averagePowerW) => change({ averagePowerW })}
      />
      <Amount
        of={{ element, index }}
        fact="and at the peak"
        label="peak voltage it bears"
        name="peak"
        kind="voltage"
        unit="v"
        unitLabel="V"
        value={element.peakVoltageV}
        say={(v) => `${plain(v)} V`}
        onCommit={(peakVoltageV) => change({ peakVoltageV })}
      />
    </>
  );
}

/** One number of an element, in its own unit. */
export function Amount({
  of: { element, index },
  fact,
  name,
  ...field
}: Pick<
  ComponentProps<typeof QuantityField>,
  'label' | 'kind' | 'unit' | 'unitLabel' | 'value' | 'say' | 'onCommit'
> & {
  of: Props;
  fact: string;
  /** By which its draft and its trouble are kept. */
  name: string;
}) {
  const { trouble } = useSheet();
  return (
    <Fact label={fact}>
      <QuantityField
        {...field}
        keptAs={`${name} ${element.id ?? index}`}
        show={(v) => plain(v)}
        onTrouble={(message) => trouble(`${name} ${index}`, message)}
      />
    </Fact>
  );
}
