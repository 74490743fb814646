import type { BenchAnalysis, BenchNotes } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField, useNarrow } from '../../ui';
import { fixed, frequencyText, lengthFigure, lengthText, plain } from '../../units';
import { capital } from '../../words';
import { Interval } from './Interval';
import { LossStrip } from './LossStrip';
import type { Reading } from './notes';
import { withAnotherLevel, withoutReading, withReading } from './notes';
import { OutcomeMark } from './OutcomeMark';
import { RowFrequency } from './RowFrequency';

/** One reading, and what it comes to; on a phone the latter stands below. */
export function ReadingRow({
  index,
  reading,
  result,
  allowedDb,
  hasLengths,
  hasReturned,
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
  /** Whether there are columns for return losses, open and shorted. */
  hasReturned: boolean;
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
  const isWattmeter = notes.method === 'WATTMETER';
  const isReturned =
    reading.openReturnLossDb !== undefined || reading.shortedReturnLossDb !== undefined;
  const loss = result?.lossDb != null && (
    <>
      {fixed(result.lossDb, 2)}{' '}
      <Interval
        at={at}
        leastDb={result.leastDb ?? 0}
        mostDb={result.mostDb ?? 0}
        uncertainty={result.uncertainty}
      />
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
  const buttons = <RowButtons at={at} index={index} notes={notes} onChange={onChange} />;
  return (
    <>
      <tr data-reading={index} className="align-baseline [&>td]:py-0.5 [&>td]:pr-3">
        <td>
          {isWattmeter ? at : <RowFrequency notes={notes} index={index} onChange={onChange} />}
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
        {!isWattmeter && (
          <td>
            <QuantityField
              label={`loss at ${at}`}
              kind="elementLoss"
              unit="db"
              unitLabel="dB"
              value={isReturned ? (result?.lossDb ?? undefined) : reading.lossDb}
              show={(v) => plain(v, 3)}
              say={(v) => `${plain(v, 3)} dB`}
              onCommit={(lossDb) =>
                change({ lossDb, openReturnLossDb: undefined, shortedReturnLossDb: undefined })
              }
            />
          </td>
        )}
        {hasReturned &&
          (['openReturnLossDb', 'shortedReturnLossDb'] as const).map((look) => (
            <td key={look}>
              <QuantityField
                label={`return loss ${look === 'openReturnLossDb' ? 'open' : 'shorted'} at ${at}`}
                kind="elementLoss"
                unit="db"
                unitLabel="dB"
                value={reading[look]}
                show={(v) => plain(v, 3)}
                say={(v) => `${plain(v, 3)} dB`}
                onCommit={(db) => change({ [look]: db, lossDb: undefined })}
              />
            </td>
          ))}
        {isWattmeter && !narrow && <td className="figures whitespace-nowrap">{loss}</td>}
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

function RowButtons({
  at,
  index,
  notes,
  onChange,
}: {
  at: string;
  index: number;
  notes: BenchNotes;
  onChange: (notes: BenchNotes) => void;
}) {
  return (
    <>
      <button
        type="button"
        className="quiet text-small"
        aria-label={`Add a power at ${at}, row ${index + 1}`}
        title="the same band at another power"
        onClick={() => onChange(withAnotherLevel(notes, index))}
      >
        Add a power
      </button>{' '}
      <button
        type="button"
        className="quiet text-small"
        aria-label={`Remove row ${index + 1}, ${at}`}
        onClick={() => onChange(withoutReading(notes, index))}
      >
        Remove
      </button>
    </>
  );
}
