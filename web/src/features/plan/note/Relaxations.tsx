import type { Ledger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { loosened, relaxationSentence } from '../../../words';
import type { Command } from '../document/commands';
import type { Plan, Requirement } from '../document/model';
import { requirementsOf } from '../document/model';
import { withNumber } from '../requirements/asked';
import { useSheet } from '../sheetContext';

/** Where nothing gets through: what to ask less of, each with a button that does it. */
export function Relaxations({ ledger }: { ledger: Ledger }) {
  const { plan, command } = useSheet();
  const { settings } = usePreferences();
  if (ledger.relaxations.length === 0) return null;
  return (
    <section aria-label="what to ask less of" className="border-l-[3px] border-blue pl-2">
      <p>Nothing gets through.</p>
      <ul className="flex flex-col gap-1">
        {ledger.relaxations.map((way) => (
          <li key={way.eased.map((e) => e.requirement).join()}>
            {relaxationSentence(way, settings.currency)}{' '}
            <button
              type="button"
              className="quiet"
              onClick={() => command(easing(plan, way.eased))}
            >
              Do that
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All of them at once, so that one undo takes them back together. */
function easing(plan: Plan, eased: Ledger['relaxations'][number]['eased']): Command {
  const to = new Map<number, Requirement>();
  for (const e of eased) {
    const asked = requirementsOf(plan)[e.requirement];
    if (asked) {
      to.set(
        e.requirement,
        e.to === null || e.asked === null
          ? { ...asked, off: true }
          : withNumber(asked, loosened(e.to, e.to < e.asked)),
      );
    }
  }
  return { do: 'easeAsked', to };
}
