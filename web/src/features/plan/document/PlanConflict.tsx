import { useState } from 'react';
import type { StoredPlan } from '../../../api';
import type { Plan } from './model';
import { planOf, revisionNumber } from './model';
import { differingPieces } from './pieces';

/** Two versions of one plan side by side: keep either, or take pieces of both. Nothing is overwritten until then. */
export function PlanConflict({
  mine,
  current,
  onKeep,
  onTheirs,
}: {
  mine: Plan;
  current: StoredPlan;
  onKeep: (plan: Plan) => void;
  onTheirs: () => void;
}) {
  const theirs = planOf(current);
  const pieces = differingPieces(mine, theirs);
  const [taken, setTaken] = useState<Record<string, boolean>>({});
  const mixed = pieces.reduce((plan, p) => (taken[p.key] ? p.take(plan, theirs) : plan), mine);
  const count = pieces.filter((p) => taken[p.key]).length;

  return (
    <div role="alert" className="border-b-2 border-fail px-4 py-3">
      <p className="mb-2 font-semibold">
        This plan was saved elsewhere meanwhile, as revision {revisionNumber(current.version)}.
        Yours is not saved yet, and theirs is not overwritten.
      </p>
      <table className="mb-3 border-separate border-spacing-x-4 border-spacing-y-1 text-left">
        <thead className="text-small text-soft">
          <tr>
            <th scope="col" className="font-normal">
              <span className="sr-only">part</span>
            </th>
            <th scope="col" className="font-normal">
              yours
            </th>
            <th scope="col" className="font-normal">
              theirs
            </th>
          </tr>
        </thead>
        <tbody>
          {pieces.map((piece) => (
            <tr key={piece.key} className="align-top">
              <th scope="row" className="font-normal text-soft">
                {piece.label}
              </th>
              {[false, true].map((their) => (
                <td key={String(their)}>
                  <label className="flex cursor-pointer items-baseline gap-2">
                    <input
                      type="radio"
                      name={`piece-${piece.key}`}
                      checked={(taken[piece.key] ?? false) === their}
                      onChange={() => setTaken({ ...taken, [piece.key]: their })}
                    />
                    {piece.tell(their ? theirs : mine)}
                  </label>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <span className="flex gap-5">
        <button type="button" className="action" onClick={() => onKeep(mixed)}>
          {count === 0 ? 'Save mine over it' : 'Save as marked'}
        </button>
        <button type="button" className="quiet" onClick={onTheirs}>
          Take theirs instead
        </button>
      </span>
    </div>
  );
}
