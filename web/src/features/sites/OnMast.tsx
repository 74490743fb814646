import { usePreferences } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { lengthFigure, lengthText, massText } from '../../units';
import type { PartProps } from './SitePage';

/** How much of each run hangs on the mast, and what that weighs. */
export function OnMast({ sheet, document, change }: PartProps) {
  const { lengths } = usePreferences();
  const onMast = document.onMast ?? [];
  const metresOf = (run: string) => onMast.find((m) => m.run === run)?.lengthM;
  const put = (run: string, lengthM: number) =>
    change({
      ...document,
      onMast: [...onMast.filter((m) => m.run !== run), ...(lengthM > 0 ? [{ run, lengthM }] : [])],
    });
  return (
    <section aria-label="mast" className="flex flex-col gap-1">
      <h2 className="font-bold">On the mast, from each antenna down</h2>
      <ul className="flex flex-wrap gap-x-6">
        {sheet.runs
          .filter((r) => r.isFinished)
          .map((r) => (
            <li key={r.planId} className="flex items-baseline gap-2">
              <span>{r.name}</span>
              <QuantityField
                label={`on the mast of ${r.name}`}
                keptAs={`mast ${r.planId}`}
                kind="length"
                unit={lengths}
                unitLabel={lengths}
                value={metresOf(r.planId) ?? 0}
                show={(v) => lengthFigure(v, lengths)}
                say={(v) => lengthText(v, lengths)}
                onCommit={(m) => put(r.planId, m)}
              />
              {r.onMastKg !== null && (
                <span className="figures text-soft">{massText(r.onMastKg)}</span>
              )}
            </li>
          ))}
      </ul>
    </section>
  );
}
