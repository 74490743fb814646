import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { OwnDevice } from '../../api';
import { answered, api, useDevices } from '../../api';
import { TextField } from '../../ui';
import { frequencyText, plain } from '../../units';

/** Devices of one's own: kept from the runs in which they stand, renamed and taken out here. */
export function OwnDevices() {
  const queries = useQueryClient();
  const devices = useDevices().data;
  const [gone, setGone] = useState<OwnDevice | null>(null);
  const fresh = () => void queries.invalidateQueries({ queryKey: ['devices'] });
  const rename = useMutation({
    mutationFn: ({ of, name }: { of: OwnDevice; name: string }) =>
      answered(
        api.PUT('/api/devices/{id}', {
          params: { path: { id: of.id } },
          body: { version: of.version, name, element: of.element },
        }),
      ),
    onSettled: fresh,
  });
  const remove = useMutation({
    mutationFn: (of: OwnDevice) =>
      answered(api.DELETE('/api/devices/{id}', { params: { path: { id: of.id } } })),
    onSuccess: (_, of) => {
      setGone(of);
      fresh();
    },
  });
  const restore = useMutation({
    mutationFn: (of: OwnDevice) =>
      answered(api.POST('/api/devices/{id}/restore', { params: { path: { id: of.id } } })),
    onSuccess: () => {
      setGone(null);
      fresh();
    },
  });
  const failed = rename.error ?? remove.error ?? restore.error;
  return (
    <section aria-label="my devices" className="flex flex-col gap-1">
      <h3 className="font-bold">My devices</h3>
      {devices?.length === 0 && (
        <p className="text-soft">
          None yet. Open a device in a run and keep it: what it loses on each band, what it bears,
          or its sweep.
        </p>
      )}
      {failed && (
        <p role="alert" className="text-fail">
          {failed.message}
        </p>
      )}
      {gone && (
        <p role="status">
          {gone.name} is taken out.{' '}
          <button type="button" className="quiet" onClick={() => restore.mutate(gone)}>
            Undo
          </button>
        </p>
      )}
      <ul>
        {devices?.map((d) => (
          <li key={d.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline">
            <TextField
              label={`name of ${d.name}`}
              value={d.name}
              className="w-[24ch]"
              onCommit={(name) => rename.mutate({ of: d, name })}
            />
            <span className="text-soft">{told(d)}</span>
            <button
              type="button"
              className="quiet ml-auto"
              aria-label={`Remove ${d.name}`}
              onClick={() => remove.mutate(d)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is known of a device, in a few words. */
function told({ element }: OwnDevice): string {
  switch (element.kind) {
    case 'PREAMPLIFIER':
      return `${plain(element.gainDb ?? 0, 1)} dB of gain, noise figure ${plain(element.noiseFigureDb ?? 1, 2)} dB`;
    case 'FORK':
      return `${element.ports?.length ?? 0} ports`;
    case 'TRANSFORMER':
      return `${plain(element.impedanceRatio ?? 1)}:1, ${plain(element.lossDb ?? 0, 2)} dB`;
    case 'DEVICE':
      return lossOf(element);
    default:
      return '';
  }
}

type Device = Extract<OwnDevice['element'], { kind: 'DEVICE' }>;

function lossOf({ twoPort, lossByFrequency, lossDb }: Device): string {
  const over = twoPort?.points ?? lossByFrequency;
  if (over && over.length > 0) {
    const from = frequencyText(over[0]?.frequencyMHz ?? 0);
    const to = frequencyText(over.at(-1)?.frequencyMHz ?? 0);
    return twoPort ? `measured from ${from} to ${to}` : `a table from ${from} to ${to}`;
  }
  return `${plain(lossDb ?? 0, 2)} dB`;
}
