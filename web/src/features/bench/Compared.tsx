import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { BenchSummary } from '../../api';
import { Plot, SaveDrawing, saveFile, Toggle } from '../../ui';
import { fixed, frequencyText, plain, significant, unitsBeside } from '../../units';
import { comparedCsv, readAs, READINGS, sheetsOf } from './compared';
import type { Reading } from './compared';
import { frequenciesOf, labelOf } from './log';

const WORDS: Record<Reading, { text: string; unit: string; digits: number }> = {
  'per 100 m': { text: 'per 100 m', unit: 'dB/100 m', digits: 2 },
  'per 100 ft': { text: 'per 100 ft', unit: 'dB/100 ft', digits: 2 },
  'as measured': { text: 'as measured', unit: 'dB', digits: 2 },
  percent: { text: 'percent that arrives', unit: '%', digits: 1 },
  times: { text: 'times its sheet', unit: 'times its sheet', digits: 2 },
};

/** Some tests side by side, in several readings, each type's sheet beside: as curves and as a table. */
export function Compared({ tests }: { tests: readonly BenchSummary[] }) {
  const drawn = useRef<HTMLDivElement>(null);
  const [reading, setReading] = useState<Reading>(
    unitsBeside().per === 'm' ? 'per 100 m' : 'per 100 ft',
  );
  if (tests.length === 0) {
    return (
      <p className="max-w-[46ch] text-soft">
        Choose <em>compare</em> in the log, and tests are laid side by side here: per length, so
        that pieces of different lengths can be told apart from cables of different kinds.
      </p>
    );
  }
  const { unit, digits } = WORDS[reading];
  const frequencies = frequenciesOf(tests);
  const sheets = reading === 'times' ? [] : sheetsOf(tests);
  const curve = (test: BenchSummary, id: string, label: string, isSheet: boolean) => ({
    id,
    label: label.slice(0, 22),
    points: test.figures.map((f) => ({
      x: f.frequencyMHz,
      y: readAs(reading, isSheet ? f.expectedDb : f.lossDb, f) ?? NaN,
    })),
  });
  return (
    <div className="flex flex-col gap-3">
      <Toggle
        label="losses"
        value={reading}
        options={READINGS.map((r) => [r, WORDS[r].text])}
        onChange={setReading}
      />
      {frequencies.length > 1 && (
        <div ref={drawn}>
          <Plot
            label={`${WORDS[reading].text} over frequency`}
            xLabel="MHz"
            yLabel={unit}
            height={260}
            isLog
            fromZero
            say={significant}
            sayX={(v) => plain(Number(v.toPrecision(3)), 1)}
            curves={[
              ...tests.map((t) => curve(t, t.id, labelOf(t), false)),
              ...sheets.map((s) => curve(s.test, `sheet ${s.test.id}`, s.name, true)),
            ]}
          />
        </div>
      )}
      <span className="flex flex-wrap gap-x-3">
        {frequencies.length > 1 && <SaveDrawing name="tests side by side" drawn={drawn} />}
        <button
          type="button"
          className="quiet"
          onClick={() =>
            saveFile('tests side by side.csv', 'text/csv', comparedCsv(tests, frequencies, reading))
          }
        >
          Save as CSV
        </button>
      </span>
      <div
        className="max-w-full overflow-x-auto"
        role="region"
        aria-label="losses side by side, to be scrolled"
        tabIndex={0}
      >
        <table aria-label="losses side by side" className="text-fine">
          <thead className="text-left text-small text-soft">
            <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-4 [&>th]:font-normal">
              <th scope="col">{unit}</th>
              {tests.map((t) => (
                <th key={t.id} scope="col">
                  <Link className="quiet" to={`/bench/${t.id}`}>
                    {labelOf(t)}
                  </Link>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {frequencies.map((f) => (
              <tr key={f} className="[&>*]:py-0.5 [&>*]:pr-4 [&>*]:text-left">
                <th scope="row" className="font-normal whitespace-nowrap">
                  {frequencyText(f)}
                </th>
                {tests.map((t) => {
                  const figure = t.figures.find((x) => x.frequencyMHz === f);
                  const value = figure ? readAs(reading, figure.lossDb, figure) : null;
                  return (
                    <td key={t.id} className="figures">
                      {value === null ? '–' : fixed(value, digits)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
