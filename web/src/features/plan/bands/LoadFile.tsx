import { useMutation } from '@tanstack/react-query';
import type { Schemas } from '../../../api';
import { answered, api } from '../../../api';
import { fixed, frequencyText } from '../../../units';
import { capital } from '../../../words';
import type { Command } from '../commands';
import type { Band } from '../model';
import { bandName } from '../model';
import { impedanceText } from './loads';
import type { Load } from './loads';

type ReadLoad = Schemas['ReadLoadResponse'];

/** Antennas out of a table or a one-port sweep: what it says on each band, before anything is taken over. */
export function LoadFile({
  bands,
  onCommand,
  onDone,
}: {
  bands: Band[];
  onCommand: (command: Command) => void;
  onDone: () => void;
}) {
  const reading = useMutation({
    mutationFn: async (file: File) =>
      answered(
        api.POST('/api/loads', {
          body: {
            fileName: file.name,
            text: await file.text(),
            frequenciesMHz: bands.map((b) => b.frequencyMHz ?? 0),
          },
        }),
      ),
  });
  const loads = reading.data?.loads ?? [];
  const known = loads.filter((l) => l.whyNot === null).length;

  function take() {
    onCommand({ do: 'setLoads', loads: loads.map(loadOf) });
    onDone();
  }

  return (
    <div className="flex flex-col gap-1.5 border-t border-hairline pt-2">
      <label className="flex flex-col gap-1">
        <span>read the antenna from a file</span>
        <span className="text-[11px] text-soft">
          a table of MHz, SWR or MHz, R, X as CSV, or a one-port sweep (.s1p)
        </span>
        <input
          type="file"
          accept=".csv,.txt,.tsv,.s1p"
          className="text-[12px]"
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
      {loads.length > 0 && (
        <>
          <ul className="flex flex-col">
            {loads.map((l, i) => (
              <li key={i} className="flex justify-between gap-3">
                <span>{bandName(bands[i])}</span>
                <span className={l.whyNot === null ? 'figures' : 'text-right text-marginal'}>
                  {l.whyNot ?? told(l)}
                </span>
              </li>
            ))}
          </ul>
          <button type="button" className="action" disabled={known === 0} onClick={take}>
            {known === 1 ? 'Use it on one band' : `Use it on ${known} bands`}
          </button>
          {reading.data && (
            <p className="text-[11px] text-soft">
              {reading.data.rows} rows from {frequencyText(reading.data.lowestMHz)} to{' '}
              {frequencyText(reading.data.highestMHz)}
            </p>
          )}
        </>
      )}
    </div>
  );
}

function told(l: ReadLoad): string {
  return l.swr === null
    ? impedanceText(l.resistanceOhm ?? 0, l.reactanceOhm ?? 0)
    : `SWR ${fixed(l.swr, 2)}`;
}

/** Null where the file says nothing: the band keeps what it has. */
function loadOf(l: ReadLoad): Load | null {
  if (l.whyNot !== null) return null;
  if (l.swr !== null) return { swr: Number(l.swr.toFixed(3)), referenceOhm: l.referenceOhm ?? 50 };
  return {
    resistanceOhm: Number((l.resistanceOhm ?? 0).toPrecision(6)),
    reactanceOhm: Number((l.reactanceOhm ?? 0).toPrecision(6)),
  };
}
