import { useMutation } from '@tanstack/react-query';
import { answered, api } from '../../../api';
import { frequencyText } from '../../../units';
import { capital } from '../../../words';
import type { Device } from './DeviceLoss';

/** A device as it was measured: a two-port sweep read whole, with what it reflects. */
export function MeasuredDevice({
  device,
  onChange,
}: {
  device: Device;
  onChange: (to: Partial<Device>) => void;
}) {
  const reading = useMutation({
    mutationFn: async (file: File) =>
      answered(
        api.POST('/api/two-ports', { body: { fileName: file.name, text: await file.text() } }),
      ),
    onSuccess: (twoPort) =>
      onChange({ twoPort, lossDb: undefined, lossByFrequency: undefined, ways: undefined }),
  });
  const points = device.twoPort?.points;
  return (
    <div className="flex flex-col gap-1 border-t border-hairline pt-1">
      {points && (
        <p>
          As it was measured, from {frequencyText(points[0]?.frequencyMHz ?? 0)} to{' '}
          {frequencyText(points.at(-1)?.frequencyMHz ?? 0)}, reflection included.
        </p>
      )}
      <label className="flex flex-col gap-0.5">
        <span className="text-small text-soft">
          {points ? 'read another two-port sweep (.s2p)' : 'or read a two-port sweep of it (.s2p)'}
        </span>
        <input
          type="file"
          accept=".s2p"
          aria-label="two-port sweep of the device"
          className="text-fine"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) reading.mutate(file);
          }}
        />
      </label>
      {reading.isPending && <p role="status">reading …</p>}
      {reading.error && (
        <p role="alert" className="text-fail">
          {capital(reading.error.message)}.
        </p>
      )}
      {points && (
        <button
          type="button"
          className="quiet text-left text-small"
          onClick={() => onChange({ twoPort: undefined, lossDb: 0 })}
        >
          State its loss instead
        </button>
      )}
    </div>
  );
}
