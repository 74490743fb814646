import type { BenchFigure } from '../../api';
import { fixed, frequencyText, per100, unitsBeside } from '../../units';
import { Interval } from './Interval';
import { LossStrip } from './LossStrip';
import { OutcomeMark } from './OutcomeMark';

/** Losses at the bands that a sweep covers, drawn against what is expected. */
export function Figures({ figures, fullDb }: { figures: readonly BenchFigure[]; fullDb: number }) {
  if (figures.length === 0) return null;
  return (
    <div
      className="max-w-full overflow-x-auto"
      role="region"
      aria-label="losses, to be scrolled"
      tabIndex={0}
    >
      <table aria-label="losses" className="w-full max-w-[760px] text-fine">
        <thead className="text-left text-small text-soft">
          <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal">
            <th scope="col">at</th>
            <th scope="col">loses, dB</th>
            <th scope="col">{unitsBeside().loss}</th>
            <th scope="col">expected</th>
            <th scope="col">of the sheet</th>
            <th scope="col">
              <span className="sr-only">drawn</span>
            </th>
            <th scope="col">it is</th>
          </tr>
        </thead>
        <tbody>
          {figures.map((f) => (
            <tr key={f.frequencyMHz} className="[&>td]:py-0.5 [&>td]:pr-3">
              <td className="whitespace-nowrap">{frequencyText(f.frequencyMHz)}</td>
              <td className="figures whitespace-nowrap">
                {fixed(f.lossDb, 2)}{' '}
                <Interval
                  at={frequencyText(f.frequencyMHz)}
                  leastDb={f.leastDb}
                  mostDb={f.mostDb}
                  uncertainty={f.uncertainty}
                />
              </td>
              <td className="figures whitespace-nowrap">
                {f.per100mDb === null ? '–' : fixed(per100(f.per100mDb), 1)}{' '}
                {f.mostPer100mDb !== null && f.leastPer100mDb !== null && (
                  <span className="text-small text-soft">
                    ± {fixed(per100(f.mostPer100mDb - f.leastPer100mDb) / 2, 1)}
                  </span>
                )}
              </td>
              <td className="figures">{f.expectedDb === null ? '–' : fixed(f.expectedDb, 2)}</td>
              <td className="figures">
                {f.percentOfSheet === null ? '–' : `${fixed(f.percentOfSheet, 0)} %`}
              </td>
              <td>
                <LossStrip {...f} fullDb={fullDb} />
              </td>
              <td>
                <OutcomeMark outcome={f.outcome} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
