import { useEffect, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useConnectors, usePieceList } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { lengthText } from '../../units';
import { endText } from '../../words';

/** An address names no more of them; of more, the whole locker is gone through. */
const MOST_NAMED = 100;

/** Labels to be printed, cut out and stuck on: the label large, and what one wants to know on the roof. */
export function LabelsPage() {
  const [params] = useSearchParams();
  const { lengths } = usePreferences();
  const connectors = useConnectors().data ?? [];
  const nameOf = (key: string) => connectors.find((c) => c.key === key)?.name ?? key;
  const wanted = useMemo(() => params.get('pieces')?.split(' ') ?? null, [params]);
  const list = usePieceList({
    ids: wanted && wanted.length <= MOST_NAMED ? wanted : undefined,
    limit: 500,
  });
  const { items: all, more } = list;
  // a sheet that is printed is whole
  useEffect(() => more?.(), [more]);
  const pieces = (all ?? []).filter((p) =>
    wanted ? wanted.includes(p.id) : p.standing !== 'RETIRED',
  );
  return (
    <Shell here="Labels">
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-4 print:p-0">
        <div className="mb-4 flex flex-wrap items-baseline gap-4 print:hidden">
          <h1 className="text-title font-bold">Labels</h1>
          <button type="button" className="action" onClick={() => window.print()}>
            Print {pieces.length} {pieces.length === 1 ? 'label' : 'labels'}
          </button>
          <span className="text-soft">70 by 25 mm each; fold over the cable and tape.</span>
        </div>
        {all && pieces.length === 0 && <p>No piece to label.</p>}
        <ul aria-label="labels" className="flex flex-wrap">
          {pieces.map((p) => (
            <li
              key={p.id}
              className="flex h-[25mm] w-[70mm] flex-col justify-center overflow-hidden border border-dashed border-control px-[3mm] print:break-inside-avoid"
            >
              <span className="truncate text-[17pt] leading-[20pt] font-bold">{p.label}</span>
              <span className="truncate text-[9pt]">
                {p.cableName ?? 'type not known'}, {lengthText(p.lengthM, lengths)}
                {p.boughtOn && `, ${p.boughtOn.slice(0, 4)}`}
              </span>
              <span className="truncate text-[8pt] text-soft">
                {endText(p.near, nameOf)} – {endText(p.far, nameOf)}
                {p.keptAt && `; back to ${p.keptAt}`}
              </span>
            </li>
          ))}
        </ul>
      </main>
    </Shell>
  );
}
