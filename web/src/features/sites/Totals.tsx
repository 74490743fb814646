import { usePreferences } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { fixed, lengthText, massText, plain } from '../../units';
import { siteSentences } from '../../words';
import type { PartProps } from './SitePage';

const FIGURES = [
  ['hoursPerRun', 'for each run'],
  ['hoursPerConnector', 'for each connector'],
  ['hoursPer10m', 'for 10 m of cable'],
] as const;

/** What all runs come to; what it costs stands where it is bought. */
export function Totals({ sheet, document, change }: PartProps) {
  const { lengths } = usePreferences();
  const { totals } = sheet;
  const work = document.work ?? {};
  return (
    <section aria-label="totals" className="flex flex-col gap-1">
      <h2 className="font-bold">All runs together</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
        {totals.cables.map((c) => (
          <div key={c.name} className="contents">
            <dt className="text-soft">{c.name}</dt>
            <dd>{lengthText(Number(c.cutM.toFixed(2)), lengths)} to cut</dd>
          </div>
        ))}
        {totals.parts.length > 0 && (
          <>
            <dt className="text-soft">parts</dt>
            <dd>{totals.parts.map((p) => `${p.count} × ${p.name}`).join(', ')}</dd>
          </>
        )}
        {totals.massKg !== null && (
          <>
            <dt className="text-soft">mass</dt>
            <dd>
              {massText(totals.massKg)}
              {totals.onMastKg !== null && `, ${massText(totals.onMastKg)} of it on the mast`}
            </dd>
          </>
        )}
        {totals.hours !== null && (
          <>
            <dt className="text-soft">work</dt>
            <dd>{fixed(totals.hours, 1)} h</dd>
          </>
        )}
      </dl>
      {totals.unpriced.length > 0 && (
        <p className="text-fine text-soft">Without a price: {totals.unpriced.join(', ')}.</p>
      )}
      <p className="flex flex-wrap items-baseline gap-x-3 text-fine text-soft print:hidden">
        Hours:
        {FIGURES.map(([name, text]) => (
          <span key={name} className="flex items-baseline gap-1">
            <QuantityField
              label={`hours ${text}`}
              keptAs={name}
              kind="hours"
              unit="h"
              unitLabel="h"
              value={work[name] ?? 0}
              show={(v) => plain(v, 2)}
              say={(v) => `${plain(v, 2)} h`}
              onCommit={(hours) => change({ ...document, work: { ...work, [name]: hours } })}
            />
            {text}
          </span>
        ))}
        <span>{siteSentences.workIsYours}</span>
      </p>
    </section>
  );
}
