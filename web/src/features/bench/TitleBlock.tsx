import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { BenchNotes } from '../../api';
import { answered, api, useCableTypes } from '../../api';
import { usePreferences } from '../../app/preferences';
import { DayField, QuantityField, Select } from '../../ui';
import { inUnit, lengthFigure, lengthText, plain, temperatureText } from '../../units';
import { typeOptions } from '../../words';
import { textOf } from './notes';
import type { Station } from './notes';

const LEADS = [
  { value: 'NONE', text: 'right at the radio' },
  { value: 'TAKEN_OUT', text: 'through a lead, then taken out' },
  { value: 'STAYED_IN', text: 'through a lead that stayed in' },
] as const;

const STATION: readonly { name: keyof Station; label: string }[] = [
  { name: 'radio', label: 'radio' },
  { name: 'meter', label: 'meter' },
  { name: 'load', label: 'load' },
  { name: 'place', label: 'place' },
  { name: 'supply', label: 'supply' },
];

interface Props {
  notes: BenchNotes;
  revision: number | null;
  id: string | null;
  method: string;
  onChange: (notes: BenchNotes) => void;
}

/** The foot of the sheet: the day, the warmth, the station, and how the baseline was read. */
export function TitleBlock({ notes, revision, id, method, onChange }: Props) {
  const { settings } = usePreferences();
  const fahrenheit = settings.temperatures === 'FAHRENHEIT';
  const isWattmeter = notes.method === 'WATTMETER';
  return (
    <footer className="flex shrink-0 flex-wrap items-baseline gap-x-5 gap-y-1 border-t border-ink px-4 py-1.5 text-fine">
      <label className="inline-flex items-baseline gap-1 text-soft">
        tested on
        <DayField
          label="day of the test"
          value={notes.testedOn ?? ''}
          onChange={(day) => onChange({ ...notes, testedOn: textOf(day) })}
          className="in-place"
        />
      </label>
      <span className="inline-flex items-baseline gap-1 text-soft">
        at
        <QuantityField
          label="temperature of the cable"
          kind="temperature"
          unit={fahrenheit ? '°f' : '°c'}
          unitLabel={fahrenheit ? '°F' : '°C'}
          value={notes.temperatureC}
          show={(v) => plain(inUnit(v, 'temperature', fahrenheit ? '°f' : '°c'), 1)}
          say={(v) => temperatureText(v, fahrenheit)}
          onCommit={(temperatureC) => onChange({ ...notes, temperatureC })}
        />
      </span>
      {isWattmeter && <Baseline notes={notes} onChange={onChange} />}
      {notes.method !== 'LOSSES' &&
        STATION.filter((s) => isWattmeter || s.name === 'meter').map(({ name, label }) => (
          <label key={name} className="inline-flex items-baseline gap-1 text-soft">
            {isWattmeter ? label : 'analyser'}
            <input
              aria-label={isWattmeter ? label : 'analyser'}
              className="in-place w-[12ch]"
              maxLength={200}
              value={notes.station?.[name] ?? ''}
              onChange={(e) =>
                onChange({
                  ...notes,
                  station: { ...notes.station, [name]: textOf(e.target.value) },
                })
              }
            />
          </label>
        ))}
      <label className="inline-flex min-w-40 flex-1 items-baseline gap-1 text-soft">
        note
        <input
          aria-label="note"
          className="in-place min-w-0 flex-1"
          maxLength={4000}
          value={notes.note ?? ''}
          onChange={(e) => onChange({ ...notes, note: textOf(e.target.value) })}
        />
      </label>
      <label className="inline-flex items-baseline gap-1 text-soft">
        <input
          type="checkbox"
          checked={notes.setAside ?? false}
          onChange={(e) => onChange({ ...notes, setAside: e.target.checked || undefined })}
        />
        Leave this test out of the history
      </label>
      {id !== null && revision !== null ? (
        <Revisions id={id} revision={revision} />
      ) : (
        <span className="text-soft">not kept yet: {method}</span>
      )}
    </footer>
  );
}

function Baseline({
  notes,
  onChange,
}: {
  notes: BenchNotes;
  onChange: (notes: BenchNotes) => void;
}) {
  const { lengths } = usePreferences();
  const types = useCableTypes().data ?? [];
  const how = notes.wattmeter ?? {};
  const change = (c: Partial<typeof how>) => onChange({ ...notes, wattmeter: { ...how, ...c } });
  return (
    <>
      <label className="inline-flex items-baseline gap-1 text-soft">
        baseline read
        <Select
          label="where the baseline was read"
          value={how.lead ?? 'NONE'}
          options={LEADS}
          onChange={(lead) => change({ lead })}
        />
      </label>
      {how.lead === 'TAKEN_OUT' && (
        <span className="inline-flex items-baseline gap-1 text-soft">
          of
          <QuantityField
            label="length of the lead"
            kind="length"
            unit={lengths}
            unitLabel={lengths}
            least={0.01}
            value={how.leadLengthM}
            show={(v) => lengthFigure(v, lengths)}
            say={(v) => lengthText(v, lengths)}
            onCommit={(leadLengthM) => change({ leadLengthM })}
          />
          <Select
            label="type of the lead"
            value={how.leadCableKey ?? ''}
            options={typeOptions(types)}
            onChange={(leadCableKey) => change({ leadCableKey })}
          />
        </span>
      )}
      <span className="inline-flex items-baseline gap-1 text-soft">
        the meter repeats within
        <QuantityField
          label="the meter repeats within"
          kind="percentOff"
          unit="%"
          unitLabel="%"
          value={how.repeatPercent ?? 1}
          show={(v) => plain(v, 2)}
          say={(v) => `${plain(v, 2)} %`}
          onCommit={(repeatPercent) => change({ repeatPercent })}
        />
        and half a digit; its class is
        <QuantityField
          label="class of the meter"
          kind="percentOff"
          unit="%"
          unitLabel="%"
          value={how.classPercent ?? 5}
          show={(v) => plain(v, 2)}
          say={(v) => `${plain(v, 2)} %`}
          onCommit={(classPercent) => change({ classPercent })}
        />
      </span>
    </>
  );
}

/** Which revision this is, and what was noted before. */
function Revisions({ id, revision }: { id: string; revision: number }) {
  const [open, setOpen] = useState(false);
  const history = useQuery({
    queryKey: ['bench', 'revisions', id, revision],
    queryFn: () =>
      answered(api.GET('/api/bench/tests/{id}/revisions', { params: { path: { id } } })),
    enabled: open,
  });
  return (
    <span className="text-soft">
      revision {revision}
      {revision > 1 && (
        <>
          {' '}
          <button
            type="button"
            className="quiet"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            {open ? 'Close' : 'Show what was noted before'}
          </button>
          {open && (
            <ul>
              {(history.data ?? []).slice(1).map((t) => (
                <li key={t.summary.revision}>
                  {t.summary.revision}, {t.summary.storedAt.slice(0, 10)}:{' '}
                  {(t.document.readings ?? [])
                    .map(
                      (r) =>
                        `${r.frequencyMHz ?? '?'} MHz ${r.baseline ?? ''} ${r.through ?? r.lossDb ?? ''}`,
                    )
                    .join('; ') || t.files.map((f) => f.fileName).join(', ')}
                  {t.document.lengthM != null && `; ${plain(t.document.lengthM, 2)} m`}
                  {t.document.cableKey && `; ${t.document.cableKey}`}
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </span>
  );
}
