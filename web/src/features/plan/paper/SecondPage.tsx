import { usePreferences } from '../../../app/preferences';
import { fixed, frequencyText, lengthText, powerText } from '../../../units';
import { cautionsOf, limitsOf } from '../../../words';
import type { Fitting, StepsOf } from '../../../words';
import { bandName, bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { bandAt } from './bandsOnPaper';
import { Page } from './Page';
import type { RunSheet } from './usePaper';

/** How it is done, and what to expect: steps with their checks, limits, the test, cautions. */
export function SecondPage({
  sheet,
  format,
  parts,
  done,
  fitting,
}: {
  sheet: RunSheet;
  format: 'a4' | 'letter';
  parts: readonly StepsOf[];
  done: ReadonlySet<string>;
  fitting: Fitting;
}) {
  const { plan } = useSheet();
  const { lengths } = usePreferences();
  const bands = bandsOf(plan);
  const nearest = sheet.bands
    .map((b) => b.near)
    .filter((n) => n !== null)
    .toSorted((a, b) => (b.distanceM ?? 0) - (a.distanceM ?? 0))[0];
  const near =
    nearest?.distanceM == null
      ? null
      : `Keep people about ${lengthText(Math.ceil(nearest.distanceM), lengths)} from the antenna while sending.`;
  return (
    <Page format={format} label="second page of the run sheet">
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h1 className="text-heading font-bold">{plan.name}: fitting</h1>
        <span>{sheet.name}</span>
      </header>
      <div className="flex gap-8">
        <div className="flex-1">
          {parts.map((part) => (
            <section key={part.title}>
              <h2>{part.title}</h2>
              <ul>
                {part.steps.map((s) => (
                  <li key={s.id} className="flex gap-2 py-[1px]">
                    <svg width="11" height="11" aria-hidden="true" className="mt-[3px] shrink-0">
                      <rect x="0.5" y="0.5" width="10" height="10" fill="none" stroke="#000" />
                      {done.has(s.id) && (
                        <path d="M2 5.5 4.5 8.5 9 2" fill="none" stroke="#000" strokeWidth="1.4" />
                      )}
                    </svg>
                    <span>{s.text}</span>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
        <div className="w-[38%]">
          <h2>Limits of {fitting.cable?.name ?? sheet.name}</h2>
          <ul className="list-disc pl-4">
            {limitsOf(fitting.cable, fitting.fahrenheit).map((l) => (
              <li key={l}>{l}</li>
            ))}
          </ul>
          <h2>Cautions</h2>
          <ul className="list-disc pl-4">
            {cautionsOf({ sends: fitting.sends, near, voltage: null }).map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </div>
      </div>
      <h2>Test after fitting</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">band</th>
            {fitting.sends && <th scope="col">through, into a dummy load</th>}
            {fitting.sends && <th scope="col">measured</th>}
            <th scope="col">loss, matched</th>
            <th scope="col">measured</th>
            <th scope="col">SWR at the radio</th>
            <th scope="col">measured</th>
            <th scope="col">day</th>
          </tr>
        </thead>
        <tbody>
          {sheet.expected.map((e, i) => (
            <tr key={bandAt(sheet, i, bands)?.id ?? i} className="h-[26px]">
              <th scope="row">
                {bandName(bandAt(sheet, i, bands))},{' '}
                {frequencyText(sheet.bands[i]?.frequencyMHz ?? 0)}
              </th>
              {fitting.sends && <td>{e.throughW === null ? '–' : powerText(e.throughW)}</td>}
              {fitting.sends && <td className="border-l border-ink" />}
              <td>{fixed(e.matchedLossDb, 2)} dB</td>
              <td className="border-l border-ink" />
              <td>{e.swrAtRadio === null ? '–' : fixed(e.swrAtRadio, 2)}</td>
              <td className="border-l border-ink" />
              <td className="border-l border-ink" />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-tiny">
        A little more loss than expected is usual; more than a tenth and 0.1 dB is worth a look at
        the ends. Radio, meter and load used: ______________________________
      </p>
    </Page>
  );
}
