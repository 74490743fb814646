import { newId } from '../../ui/newId';
import { QuantityField, TextField } from '../../ui';
import { acrossFigure, acrossText, plain, unitsBeside } from '../../units';
import { ductSentence, siteSentences } from '../../words';
import { packCircles } from './packCircles';
import type { PartProps } from './SitePage';
import type { SiteDocument, SiteRun } from './useSite';

type Duct = NonNullable<SiteDocument['ducts']>[number];

const SIZE = 92;
const USUAL_BORE_MM = 40;
const USUAL_SHARE_PERCENT = 40;

/** What lies in which duct, drawn across at scale. */
export function Ducts({ sheet, document, change }: PartProps) {
  const ducts = document.ducts ?? [];
  const put = (next: Duct[]) => change({ ...document, ducts: next });
  return (
    <section aria-label="ducts" className="flex flex-col gap-2">
      <h2 className="font-bold">Ducts</h2>
      <div className="flex flex-wrap gap-x-6 gap-y-4">
        {ducts.map((duct, i) => (
          <OneDuct
            key={duct.id}
            number={i + 1}
            duct={duct}
            found={sheet.ducts[i]}
            runs={sheet.runs}
            onChange={(to) => put(ducts.with(i, to))}
            onRemove={() => put(ducts.toSpliced(i, 1))}
          />
        ))}
      </div>
      {ducts.length > 0 && (
        <p className="text-fine text-soft">
          {siteSentences.usualShare} {siteSentences.ductCaution} {siteSentences.diameters}
        </p>
      )}
      <button
        type="button"
        className="quiet self-start print:hidden"
        onClick={() =>
          put([
            ...ducts,
            {
              id: newId(),
              name: `Duct ${ducts.length + 1}`,
              boreMm: USUAL_BORE_MM,
              runs: sheet.runs.map((r) => r.planId),
            },
          ])
        }
      >
        Add a duct
      </button>
    </section>
  );
}

function OneDuct({
  number,
  duct,
  found,
  runs,
  onChange,
  onRemove,
}: {
  number: number;
  duct: Duct;
  found: PartProps['sheet']['ducts'][number] | undefined;
  runs: SiteRun[];
  onChange: (to: Duct) => void;
  onRemove: () => void;
}) {
  const inIt = runs.filter((r) => duct.runs.includes(r.planId));
  return (
    <div className="flex gap-3">
      <Across duct={duct} inIt={inIt} isOverfilled={found?.isOverfilled ?? false} />
      <div className="flex max-w-[300px] min-w-0 flex-1 flex-col gap-1">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <span className="figures">{number}</span>
          <TextField
            label={`name of duct ${number}`}
            value={duct.name}
            className="w-[22ch] font-semibold"
            onCommit={(name) => onChange({ ...duct, name })}
          />
        </span>
        <span className="flex flex-wrap items-baseline gap-x-2 text-fine">
          bore
          <QuantityField
            label={`bore of duct ${number}`}
            keptAs={`bore ${duct.id}`}
            kind="bore"
            unit={unitsBeside().across}
            unitLabel={unitsBeside().across}
            least={1}
            value={duct.boreMm}
            show={acrossFigure}
            say={acrossText}
            onCommit={(boreMm) => onChange({ ...duct, boreMm })}
          />
          filled at most
          <QuantityField
            label={`share of duct ${number}`}
            keptAs={`share ${duct.id}`}
            kind="percent"
            unit="%"
            unitLabel="%"
            least={1}
            value={duct.mostSharePercent ?? USUAL_SHARE_PERCENT}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} %`}
            onCommit={(mostSharePercent) => onChange({ ...duct, mostSharePercent })}
          />
        </span>
        <ul className="flex flex-col text-fine">
          {runs.map((r) => (
            <li key={r.planId}>
              <label className="flex items-baseline gap-1.5 max-[899px]:min-h-11">
                <input
                  type="checkbox"
                  checked={duct.runs.includes(r.planId)}
                  onChange={(e) =>
                    onChange({
                      ...duct,
                      runs: e.target.checked
                        ? [...duct.runs, r.planId]
                        : duct.runs.filter((id) => id !== r.planId),
                    })
                  }
                />
                {r.name}
              </label>
            </li>
          ))}
        </ul>
        {found && (
          <p className={found.isOverfilled ? 'text-fail' : ''}>
            {ductSentence(found, acrossText)}
            {found.unknown.length > 0 &&
              ` Not counted, since its diameter is not known: ${found.unknown.join(', ')}.`}
          </p>
        )}
        <button
          type="button"
          className="quiet self-start text-fine print:hidden"
          onClick={onRemove}
        >
          Remove
        </button>
      </div>
    </div>
  );
}

/** The duct across, with its cables at scale. */
function Across({
  duct,
  inIt,
  isOverfilled,
}: {
  duct: Duct;
  inIt: SiteRun[];
  isOverfilled: boolean;
}) {
  const diameters = inIt.flatMap((r) => {
    const known = r.lines.map((l) => l.outerDiameterMm ?? 0);
    const thickest = Math.max(0, ...known);
    return thickest > 0 ? [thickest] : [];
  });
  const scale = (SIZE - 6) / duct.boreMm;
  const placed = packCircles(duct.boreMm, diameters);
  return (
    <svg
      width={SIZE}
      height={SIZE}
      viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
      role="img"
      aria-label={`${duct.name}, across, with ${placed.length} cables in it`}
      className="shrink-0"
    >
      <circle
        r={(duct.boreMm / 2) * scale}
        fill="var(--paper-raised)"
        stroke={isOverfilled ? 'var(--fail)' : 'var(--ink)'}
        strokeWidth="2"
      />
      {placed.map((c, i) => (
        <g key={i}>
          <circle cx={c.x * scale} cy={c.y * scale} r={c.r * scale} fill="var(--ink-soft)" />
          <circle cx={c.x * scale} cy={c.y * scale} r={c.r * scale * 0.3} fill="var(--paper)" />
        </g>
      ))}
    </svg>
  );
}
