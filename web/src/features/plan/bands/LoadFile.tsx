import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Plot } from '../../../ui';
import { fixed, frequencyText, plain } from '../../../units';
import { capital } from '../../../words';
import { bandName, bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { impedanceText } from './loads';
import type { FromFile } from './loadFiles';
import { readAtTheAntenna, readAtTheRadio } from './loadFiles';

/** Antennas out of a table or a one-port sweep: what it says on each band, before anything is taken over. */
export function LoadFile({ onDone }: { onDone: () => void }) {
  const { plan, command } = useSheet();
  const bands = bandsOf(plan);
  const [file, setFile] = useState<File | null>(null);
  const [isAtRadio, setAtRadio] = useState(false);
  const reading = useMutation({
    mutationFn: ({ of, atRadio }: { of: File; atRadio: boolean }) =>
      atRadio ? readAtTheRadio(of, plan) : readAtTheAntenna(of, plan),
  });
  const read = (of: File, atRadio: boolean) => {
    setFile(of);
    setAtRadio(atRadio);
    reading.mutate({ of, atRadio });
  };
  const found = reading.data;
  const known = (found?.loads ?? []).filter((l) => l.load !== null).length;

  function take() {
    command({ do: 'setLoads', loads: (found?.loads ?? []).map((l) => l.load) });
    onDone();
  }

  return (
    <div className="flex flex-col gap-1.5 border-t border-hairline pt-2">
      <label className="flex flex-col gap-1">
        <span>read the antenna from a file</span>
        <span className="text-small text-soft">
          a table of MHz, SWR or MHz, R, X as CSV, or a one-port sweep (.s1p)
        </span>
        <input
          type="file"
          accept=".csv,.txt,.tsv,.s1p"
          className="text-fine"
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) read(chosen, isAtRadio);
          }}
        />
      </label>
      <label className="flex items-baseline gap-1.5 text-fine">
        <input
          type="checkbox"
          checked={isAtRadio}
          onChange={(e) => (file ? read(file, e.target.checked) : setAtRadio(e.target.checked))}
        />
        measured at the radio: carry it through this run to the antenna
      </label>
      {reading.isPending && <p role="status">reading …</p>}
      {reading.error && (
        <p role="alert" className="text-fail">
          {capital(reading.error.message)}.
        </p>
      )}
      {found && found.loads.length > 0 && (
        <>
          <ul className="flex flex-col">
            {found.loads.map((l, i) => (
              <li key={i} className="flex justify-between gap-3">
                <span>{bandName(bands[i])}</span>
                <span className={l.load ? 'figures' : 'text-right text-marginal'}>
                  {l.load ? told(l) : l.whyNot}
                </span>
              </li>
            ))}
          </ul>
          {found.curve.length > 1 && <CarriedCurve curve={found.curve} />}
          <button type="button" className="action" disabled={known === 0} onClick={take}>
            {known === 1 ? 'Use it on one band' : `Use it on ${known} bands`}
          </button>
          <p className="text-small text-soft">
            {found.rows} rows from {frequencyText(found.lowestMHz)} to{' '}
            {frequencyText(found.highestMHz)}
          </p>
        </>
      )}
    </div>
  );
}

/** The SWR as the radio sees it, and as it is at the antenna: what the cable's loss hides. */
function CarriedCurve({ curve }: { curve: FromFile['curve'] }) {
  return (
    <Plot
      label="SWR at the radio and at the antenna over frequency"
      xLabel="MHz"
      yLabel="SWR"
      height={150}
      mostY={10}
      say={(v) => fixed(v, 1)}
      sayX={(v) => plain(Number(v.toPrecision(4)), 2)}
      curves={[
        {
          id: 'antenna',
          label: 'at the antenna',
          points: curve.map((p) => ({ x: p.frequencyMHz, y: p.swrAtAntenna })),
        },
        {
          id: 'radio',
          label: 'at the radio',
          points: curve.map((p) => ({ x: p.frequencyMHz, y: p.swrAtRadio })),
        },
      ]}
    />
  );
}

function told({ load, swrAtAntenna }: FromFile['loads'][number]): string {
  if (load?.resistanceOhm !== undefined) {
    return impedanceText(load.resistanceOhm, load.reactanceOhm ?? 0);
  }
  return `SWR ${fixed(swrAtAntenna ?? load?.swr ?? 1, 2)}`;
}
