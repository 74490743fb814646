import { Fact, QuantityField } from '../../../ui';
import { plain } from '../../../units';
import type { Element } from '../document/model';
import { useSheet } from '../sheetContext';
import { Loss } from './ElementAmounts';
import { LossTable } from './LossTable';
import { MeasuredDevice } from './MeasuredDevice';

export type Device = Extract<Element, { kind: 'DEVICE' }>;

/** What a device loses: one number, a table over frequency, or as it was measured. */
export function DeviceLoss({ device, index }: { device: Device; index: number }) {
  const { command, trouble } = useSheet();
  const change = (to: Partial<Device>) =>
    command({ do: 'changeElement', element: index, to: { ...device, ...to } });
  const isSplitter = device.form === 'SPLITTER';
  return (
    <>
      {isSplitter && (
        <Fact label="ports that share the power">
          <QuantityField
            label="ports of the splitter"
            keptAs={`ways ${device.id ?? index}`}
            kind="count"
            unit=""
            unitLabel=""
            value={device.ways ?? 2}
            show={(v) => plain(v)}
            say={(v) => plain(v)}
            onCommit={(ways) => change({ ways: Math.max(2, Math.round(ways)) })}
            onTrouble={(message) => trouble(`ways ${index}`, message)}
          />
        </Fact>
      )}
      {!device.twoPort && !device.lossByFrequency && <Loss element={device} index={index} />}
      {isSplitter && (
        <p className="text-small text-soft">Beside the split itself, which is counted.</p>
      )}
      {!device.twoPort && (
        <LossTable
          of={device.name ?? 'the device'}
          points={device.lossByFrequency}
          onChange={(lossByFrequency) =>
            change(
              lossByFrequency
                ? { lossByFrequency, lossDb: undefined }
                : { lossByFrequency: undefined, lossDb: device.lossByFrequency?.[0]?.lossDb },
            )
          }
        />
      )}
      {!isSplitter && <MeasuredDevice device={device} onChange={change} />}
    </>
  );
}
