import { useState } from 'react';
import { Link } from 'react-router';
import type { BenchSummary } from '../../api';
import { Plot, Toggle } from '../../ui';
import { fixed, frequencyText, per100, plain, significant, unitsBeside } from '../../units';
import { frequenciesOf, labelOf } from './log';

/** Some tests side by side, as measured or per 100 m: as curves and as a table. */
export function Compared({ tests }: { tests: readonly BenchSummary[] }) {
  const [isPerLength, setPerLength] = useState(true);
  if (tests.length === 0) {
    return (
      <p className="max-w-[46ch] text-soft">
        Choose <em>compare</em> in the log, and tests are laid side by side here: per length, so
        that pieces of different lengths can be told apart from cables of different kinds.
      </p>
    );
  }
  const drawn = (f: BenchSummary['figures'][number]) =>
    isPerLength ? f.per100mDb && per100(f.per100mDb) : f.lossDb;
  const figureOf = (test: BenchSummary, at: number) => {
    const f = test.figures.find((x) => x.frequencyMHz === at);
    return f ? drawn(f) : null;
  };
  const frequencies = frequenciesOf(tests);
  return (
    <div className="flex flex-col gap-3">
      <Toggle
        label="losses"
        value={isPerLength ? 'per length' : 'as measured'}
        options={[
          ['per length', unitsBeside().loss],
          ['as measured', 'as measured'],
        ]}
        onChange={(v) => setPerLength(v === 'per length')}
      />
      {frequencies.length > 1 && (
        <Plot
          label={isPerLength ? 'losses per length over frequency' : 'losses over frequency'}
          xLabel="MHz"
          yLabel={isPerLength ? unitsBeside().loss : 'dB'}
          height={260}
          isLog
          fromZero
          say={significant}
          sayX={(v) => plain(Number(v.toPrecision(3)), 1)}
          curves={tests.map((t) => ({
            id: t.id,
            label: labelOf(t).slice(0, 22),
            points: t.figures.map((f) => ({
              x: f.frequencyMHz,
              y: drawn(f) ?? NaN,
            })),
          }))}
        />
      )}
      <div
        className="max-w-full overflow-x-auto"
        role="region"
        aria-label="losses side by side, to be scrolled"
        tabIndex={0}
      >
        <table aria-label="losses side by side" className="text-fine">
          <thead className="text-left text-small text-soft">
            <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-4 [&>th]:font-normal">
              <th scope="col">{isPerLength ? unitsBeside().loss : 'dB'}</th>
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
                  const value = figureOf(t, f);
                  return (
                    <td key={t.id} className="figures">
                      {value === null ? '–' : fixed(value, 2)}
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
