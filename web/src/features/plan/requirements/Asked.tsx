import { usePreferences } from '../../../app/preferences';
import { OpensInPlace, useNarrow } from '../../../ui';
import type { Kind } from '../../../words';
import { ASKED_WORDS } from '../../../words';
import { requirementsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { firstAsked, GROUPS, isForReceivers } from './asked';
import { Bought } from './Bought';
import { Requirement } from './Requirement';

/** What is asked, as short sentences with their numbers in them, and how the cable is bought. */
export function Asked() {
  const { plan, hasWatts, command } = useSheet();
  const { settings } = usePreferences();
  const narrow = useNarrow();
  const asked = requirementsOf(plan);
  return (
    <section
      aria-label="what is asked"
      className="flex shrink-0 flex-wrap items-baseline gap-x-4 gap-y-0.5 border-b border-hairline px-4 py-1"
    >
      <span className="text-soft">{asked.length > 0 ? 'Asked:' : 'Nothing is asked.'}</span>
      {asked.map((requirement, i) => (
        <Requirement key={`${requirement.kind} ${i}`} asked={requirement} index={i} />
      ))}
      <OpensInPlace
        label="ask for something more"
        text="+ ask"
        className="quiet"
        width={narrow ? 280 : 440}
      >
        {(close) => (
          <AskMore
            isReceiver={!hasWatts}
            onAsk={(kind) => {
              command({ do: 'askMore', requirement: firstAsked(kind, settings.currency) });
              close();
            }}
          />
        )}
      </OpensInPlace>
      <Bought />
    </section>
  );
}

function AskMore({ isReceiver, onAsk }: { isReceiver: boolean; onAsk: (kind: Kind) => void }) {
  const groups = GROUPS.map((group) => {
    const kinds = isReceiver ? group.kinds.filter(isForReceivers) : group.kinds;
    return kinds.length === 0 ? null : (
      <div key={group.text} role="group" aria-label={group.text}>
        <p className="text-small text-soft">{group.text}</p>
        {kinds.map((kind) => (
          <button
            key={kind}
            type="button"
            className="block min-h-6 w-full px-1 text-left hover:bg-raised max-[899px]:min-h-11"
            onClick={() => onAsk(kind)}
          >
            {ASKED_WORDS[kind].name}
          </button>
        ))}
      </div>
    );
  });
  return <div className="grid gap-x-4 gap-y-2 min-[900px]:grid-cols-2">{groups}</div>;
}
