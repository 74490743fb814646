import { usePreferences } from '../../app/preferences';
import type { BenchAnalysis, BenchNotes } from '../../api';
import { QuantityField, useNarrow } from '../../ui';
import { fixed, frequencyText, lengthFigure, lengthText, plain } from '../../units';
import { capital } from '../../words';
import { LossStrip } from './LossStrip';
import type { Reading } from './notes';
import { textOf, withAnotherLevel, withoutReading, withReading } from './notes';
import { OutcomeMark } from './OutcomeMark';

interface Props {
  notes: BenchNotes;
  analysis: BenchAnalysis | undefined;
  fullDb: number;
  onChange: (notes: BenchNotes) => void;
}

/** One row a reading: what was read, and at once what it comes to. */
export function Readings({ notes, analysis, fullDb, onChange }: Props) {
  const readings = notes.readings ?? [];
  const isWattmeter = notes.method === 'WATTMETER';
  const hasLengths = readings.some((r) => r.lengthM !== undefined);
  const narrow = useNarrow();
  return (
    <>
      <div
        className="max-w-full overflow-x-auto"
        role="region"
        aria-label="readings, to be scrolled"
        tabIndex={0}
      >
        <table aria-label="readings" className="w-full text-fine min-[700px]:text-body">
          <thead className="text-left text-small text-soft">
            <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal">
              <th scope="col">at, MHz</th>
              {hasLengths && <th scope="col">piece of</th>}
              {isWattmeter && <th scope="col">without, W</th>}
              {isWattmeter && <th scope="col">through, W</th>}
              {!(isWattmeter && narrow) && <th scope="col">loses, dB</th>}
              {!narrow && (
                <>
                  <th scope="col">expected</th>
                  <th scope="col">
                    <span className="sr-only">drawn</span>
                  </th>
                  <th scope="col">it is</th>
                  <th scope="col">
                    <span className="sr-only">rows</span>
                  </th>
                </>
              )}
            </tr>
          </thead>
          <tbody>
            {readings.map((reading, i) => (
              <Row
                key={i}
                index={i}
                reading={reading}
                result={analysis?.readings[i]}
                allowedDb={
                  analysis?.figures.find((f) => f.frequencyMHz === reading.frequencyMHz)
                    ?.allowedDb ?? null
                }
                hasLengths={hasLengths}
                notes={notes}
                fullDb={fullDb}
                onChange={onChange}
              />
            ))}
          </tbody>
        </table>
      </div>
      <span className="flex flex-wrap gap-x-4">
        <button
          type="button"
          className="quiet"
          onClick={() => onChange({ ...notes, readings: [...readings, {}] })}
        >
          another band
        </button>
        {!hasLengths && (
          <button
            type="button"
            className="quiet"
            title="two lengths of one type part the cable from its connectors"
            onClick={() =>
              onChange({
                ...notes,
                readings: [
                  ...readings,
                  ...readings
                    .filter((r) => r.through || r.lossDb !== undefined)
                    .map((r) => ({
                      frequencyMHz: r.frequencyMHz,
                      lengthM: 2 * (notes.lengthM ?? 5),
                    })),
                ],
              })
            }
          >
            another length of it
          </button>
        )}
      </span>
    </>
  );
}

function Row({
  index,
  reading,
  result,
  allowedDb,
  hasLengths,
  notes,
  fullDb,
  onChange,
}: {
  index: number;
  reading: Reading;
  result: BenchAnalysis['readings'][number] | undefined;
  /** By which it may be off what is expected. */
  allowedDb: number | null;
  hasLengths: boolean;
  notes: BenchNotes;
  fullDb: number;
  onChange: (notes: BenchNotes) => void;
}) {
  const { lengths } = usePreferences();
  const change = (c: Partial<Reading>) => onChange(withReading(notes, index, c));
  const at =
    reading.frequencyMHz === undefined ? `row ${index + 1}` : frequencyText(reading.frequencyMHz);
  const length = reading.lengthM ?? notes.lengthM;
  const judged = result?.outcome ?? null;
  const narrow = useNarrow();
  const loss = result?.lossDb != null && (
    <>
      {fixed(result.lossDb, 2)}{' '}
      <span className="text-small text-soft">
        {fixed(result.leastDb ?? 0, 2)} to {fixed(result.mostDb ?? 0, 2)}
      </span>
    </>
  );
  const strip = result?.lossDb != null && (
    <LossStrip
      lossDb={result.lossDb}
      leastDb={result.leastDb ?? result.lossDb}
      mostDb={result.mostDb ?? result.lossDb}
      expectedDb={result.expectedDb}
      allowedDb={allowedDb}
      outcome={judged}
      fullDb={fullDb}
    />
  );
  const buttons = (
    <>
      <button
        type="button"
        className="quiet text-small"
        aria-label={`another power at ${at}, row ${index + 1}`}
        title="the same band at another power"
        onClick={() => onChange(withAnotherLevel(notes, index))}
      >
        another power
      </button>{' '}
      <button
        type="button"
        className="quiet text-small"
        aria-label={`take out row ${index + 1}, ${at}`}
        onClick={() => onChange(withoutReading(notes, index))}
      >
        out
      </button>
    </>
  );
  return (
    <>
      <tr data-reading={index} className="align-baseline [&>td]:py-0.5 [&>td]:pr-3">
        <td>
          <QuantityField
            label={`frequency of row ${index + 1}`}
            kind="frequency"
            unit="mhz"
            unitLabel="MHz"
            value={reading.frequencyMHz}
            show={(v) => plain(v, 4)}
            say={frequencyText}
            onCommit={(frequencyMHz) => change({ frequencyMHz })}
          />
        </td>
        {hasLengths && (
          <td>
            <QuantityField
              label={`length at ${at}, row ${index + 1}`}
              kind="length"
              unit={lengths}
              unitLabel={lengths}
              value={length}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={(lengthM) => change({ lengthM })}
            />
          </td>
        )}
        {notes.method === 'WATTMETER' ? (
          <>
            <td>
              <ReadingField
                label={`without the cable at ${at}`}
                value={reading.baseline ?? ''}
                onChange={(baseline) => change({ baseline: textOf(baseline) })}
              />
            </td>
            <td>
              <ReadingField
                label={`through the cable at ${at}`}
                value={reading.through ?? ''}
                onChange={(through) => change({ through: textOf(through) })}
              />
            </td>
            {!narrow && <td className="figures whitespace-nowrap">{loss}</td>}
          </>
        ) : (
          <td>
            <QuantityField
              label={`loss at ${at}`}
              kind="elementLoss"
              unit="db"
              unitLabel="dB"
              value={reading.lossDb}
              show={(v) => plain(v, 3)}
              say={(v) => `${plain(v, 3)} dB`}
              onCommit={(lossDb) => change({ lossDb })}
            />
          </td>
        )}
        {!narrow && (
          <>
            <td className="figures">
              {result?.expectedDb != null ? fixed(result.expectedDb, 2) : ''}
            </td>
            <td className="align-middle">{strip}</td>
            <td>{judged && <OutcomeMark outcome={judged} />}</td>
            <td className="whitespace-nowrap">{buttons}</td>
          </>
        )}
      </tr>
      {narrow && (
        <tr className="[&>td]:border-b [&>td]:border-hairline [&>td]:pb-2">
          <td colSpan={4}>
            <span className="flex flex-wrap items-center gap-x-3">
              {strip}
              <span className="figures">{loss}</span>
              {judged && <OutcomeMark outcome={judged} />}
              {buttons}
            </span>
          </td>
        </tr>
      )}
      {result?.trouble && (
        <tr>
          <td colSpan={9} role="alert" className="pb-1 text-fine text-fail">
            {capital(result.trouble)}.
          </td>
        </tr>
      )}
    </>
  );
}

/** A reading as it is typed: one value, or the two that it flickers between. */
function ReadingField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
}) {
  return (
    <input
      aria-label={label}
      className="in-place figures min-h-6 w-[12ch] text-right"
      placeholder="48 or 47-49"
      maxLength={60}
      autoComplete="off"
      spellCheck={false}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
