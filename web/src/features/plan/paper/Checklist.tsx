import type { StepsOf } from '../../../words';
import { useSheet } from '../sheetContext';

/** The steps of the sheet, ticked on screen; the ticks are kept with the plan. */
export function Checklist({
  parts,
  done,
}: {
  parts: readonly StepsOf[];
  done: ReadonlySet<string>;
}) {
  const { command } = useSheet();
  const all = parts.flatMap((p) => p.steps);
  const ticked = all.filter((s) => done.has(s.id)).length;
  return (
    <section
      aria-label="checklist"
      className="min-w-0 px-4 py-3 max-[899px]:order-first print:hidden"
    >
      <p role="status" className="mb-1 text-soft">
        {ticked === 0
          ? `${all.length} steps, none ticked.`
          : ticked === all.length
            ? 'All steps are ticked.'
            : `${ticked} of ${all.length} steps are ticked.`}
      </p>
      {parts.map((part) => (
        <div key={part.title} className="mb-2">
          <h2 className="font-bold">{part.title}</h2>
          <ul>
            {part.steps.map((step) => (
              <li key={step.id}>
                <label className="flex min-h-7 items-baseline gap-2.5 py-0.5 max-[640px]:min-h-11 max-[640px]:py-2">
                  <input
                    type="checkbox"
                    className="translate-y-0.5"
                    checked={done.has(step.id)}
                    onChange={(e) => command({ do: 'tick', step: step.id, done: e.target.checked })}
                  />
                  <span className={done.has(step.id) ? 'text-soft line-through' : ''}>
                    {step.text}
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
