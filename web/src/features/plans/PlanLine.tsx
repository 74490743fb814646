import { useState } from 'react';
import { Link } from 'react-router';
import type { PlanSummary } from '../../api';
import { usePreferences } from '../../app/preferences';
import type { Placed } from '../../ui';
import { VerdictMark } from '../../ui';
import { lengthText, levelText, shownReading } from '../../units';
import { agoText, words } from '../../words';
import { revisionNumber } from '../plan';
import { Sketch } from './Sketch';
import type { usePlanActions } from './usePlanActions';

/** One plan of the list. */
export function PlanLine({
  placed,
  plan,
  now,
  actions,
  onDelete,
}: {
  placed: Placed;
  plan: PlanSummary;
  /** When the list was read, ms. */
  now: number;
  actions: ReturnType<typeof usePlanActions>;
  onDelete: () => void;
}) {
  const { reading, lengths } = usePreferences();
  const [renaming, setRenaming] = useState<string | null>(null);
  const { sketch } = plan;
  const shown = shownReading(reading, sketch?.radioPowerW != null);

  function rename() {
    const name = renaming?.trim() ?? '';
    if (name !== '' && name !== plan.name) actions.rename.mutate({ plan, name });
    setRenaming(null);
  }

  return (
    <li
      {...placed}
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hairline py-2.5"
    >
      {sketch ? (
        <Sketch sketch={sketch} />
      ) : (
        <span className="w-[168px] text-fine text-soft">not finished</span>
      )}
      <span className="min-w-0 flex-1 basis-48">
        {renaming === null ? (
          <Link to={`/plans/${plan.id}`} className="font-semibold hover:text-blue">
            {plan.name}
          </Link>
        ) : (
          <input
            autoFocus
            aria-label={`new name of ${plan.name}`}
            maxLength={120}
            className="boxed min-h-7 w-full font-semibold"
            value={renaming}
            onChange={(e) => setRenaming(e.target.value)}
            onFocus={(e) => e.target.select()}
            onBlur={rename}
            onKeyDown={(e) => {
              if (e.key === 'Enter') rename();
              if (e.key === 'Escape') setRenaming(null);
            }}
          />
        )}
        <span className="block text-fine text-soft">
          {sketch && `${lengthText(sketch.cableLengthM, lengths)} of ${sketch.cableName}, `}
          {sketch && words.standing[sketch.standing]}
          {plan.chosen && sketch?.standing !== 'CHOSEN' && `; ${plan.chosen} was chosen`}
        </span>
      </span>
      {sketch && (
        <span className="w-36 text-right">
          <span className="figures inline-flex items-baseline gap-1.5 font-medium">
            <VerdictMark verdict={sketch.verdict} />
            {levelText({ lossDb: sketch.totalLossDb, watts: sketch.powerAtAntennaW }, shown)}
          </span>
          <span className="block text-fine text-soft">on {sketch.bandName}, which decides</span>
        </span>
      )}
      <span className="flex w-full flex-wrap gap-x-4 text-fine min-[760px]:w-[250px] min-[760px]:flex-col min-[760px]:gap-0">
        <span className="text-soft">
          revision {revisionNumber(plan.version)}, {agoText(Date.parse(plan.updatedAt), now)}
        </span>
        <span className="flex flex-wrap gap-x-3 items-center">
          <button
            type="button"
            className="quiet"
            aria-label={`Rename ${plan.name}`}
            onClick={() => setRenaming(plan.name)}
          >
            Rename
          </button>
          <button
            type="button"
            className="quiet"
            aria-label={`Make a variant of ${plan.name}`}
            onClick={() => actions.duplicate.mutate(plan)}
          >
            Make a variant
          </button>
          <Link
            to={`/plans/compare?p=${plan.id}`}
            className="quiet inline-flex items-center max-[899px]:min-h-11"
            aria-label={`Compare ${plan.name} with others`}
          >
            Compare
          </Link>
          <button
            type="button"
            className="quiet"
            aria-label={`Delete ${plan.name}`}
            onClick={onDelete}
          >
            Delete
          </button>
        </span>
      </span>
    </li>
  );
}
