import { siteSentences } from '../../words';
import type { PartProps } from './SitePage';

/** Wall plate, earthing and arrestors: what is done once for all runs, ticked as it is done. */
export function Steps({ sheet, document, change }: PartProps) {
  const done = document.done ?? [];
  const bare = sheet.runs.filter((r) => r.isFinished && !r.isArrested);
  const steps = [
    {
      id: 'plate',
      text: `Wall plate with ${sheet.runs.length === 1 ? 'one feed-through' : `${sheet.runs.length} feed-throughs`}, bonded to the entry earth.`,
    },
    { id: 'mast', text: 'Mast bonded to the same earth as the plate.' },
    ...sheet.runs
      .filter((r) => r.isArrested)
      .map((r) => ({
        id: `arrestor ${r.planId}`.slice(0, 60),
        text: `Arrestor of ${r.name} bonded at the plate.`,
      })),
    { id: 'drip', text: 'A drip loop before every entry, and every outdoor joint wrapped.' },
    { id: 'marks', text: 'Both ends of every cable labelled with the name of its run.' },
  ];
  return (
    <section aria-label="plate and earth" className="flex flex-col gap-1">
      <h2 className="font-bold">Wall plate, earth and arrestors</h2>
      {bare.length > 0 && (
        <p role="status" className="text-marginal">
          No arrestor stands in {bare.map((r) => r.name).join(', ')}.
        </p>
      )}
      <ul>
        {steps.map((s) => (
          <li key={s.id}>
            <label className="flex items-baseline gap-2 max-[899px]:min-h-11">
              <input
                type="checkbox"
                checked={done.includes(s.id)}
                onChange={(e) =>
                  change({
                    ...document,
                    done: e.target.checked ? [...done, s.id] : done.filter((d) => d !== s.id),
                  })
                }
              />
              {s.text}
            </label>
          </li>
        ))}
      </ul>
      <p className="text-fine text-soft">{siteSentences.earthing}</p>
    </section>
  );
}
