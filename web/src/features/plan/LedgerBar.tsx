import { Choice, QuantityField } from '../../ui';
import { plain } from '../../units';
import { askedText, words } from '../../words';
import type { Command } from './commands';
import type { Plan, Preference, Requirement } from './model';
import { preferenceOf, requirementOf } from './model';

type Kind = Requirement['kind'];

const KINDS = (['LEAST_POWER', 'LEAST_PERCENT', 'MOST_LOSS'] as const).map((value) => ({
  value,
  text: words.requirementKind[value],
}));

const PREFERENCES = (['LEAST_COST', 'MOST_MARGIN', 'BEST_VALUE', 'LIGHTEST'] as const).map(
  (value) => ({
    value,
    text: words.preference[value],
  }),
);

const FIELDS = {
  LEAST_POWER: { kind: 'power', unit: 'w', label: 'W', name: 'powerW', usual: 10 },
  LEAST_PERCENT: { kind: 'percent', unit: '%', label: '%', name: 'percent', usual: 50 },
  MOST_LOSS: { kind: 'loss', unit: 'db', label: 'dB', name: 'lossDb', usual: 3 },
} as const;

/** What is asked, as a sentence with its number in it, and the school that orders the rows. */
export function LedgerBar({
  plan,
  isReceiver,
  view,
  onView,
  onAddOwn,
  onCommand,
  onTrouble,
}: {
  plan: Plan;
  view: View;
  onView: (view: View) => void;
  isReceiver: boolean;
  onAddOwn: () => void;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}) {
  const asked = requirementOf(plan);
  const kinds = isReceiver ? KINDS.filter((k) => k.value !== 'LEAST_POWER') : KINDS;

  function askFor(kind: Kind) {
    const field = FIELDS[kind];
    onCommand({ do: 'ask', requirement: { kind, [field.name]: field.usual } });
  }

  return (
    <div className="flex shrink-0 flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-hairline px-4 py-1">
      <Views view={view} onView={onView} />
      {view !== 'ledger' && view !== 'reach' ? null : asked ? (
        <AskedSentence
          asked={asked}
          kinds={kinds}
          onKind={askFor}
          onCommand={onCommand}
          onTrouble={onTrouble}
        />
      ) : (
        <button
          type="button"
          className="quiet"
          onClick={() => askFor(isReceiver ? 'LEAST_PERCENT' : 'LEAST_POWER')}
        >
          ask for something
        </button>
      )}
      <span className={`ml-auto flex items-baseline gap-4 ${view === 'ledger' ? '' : 'hidden'}`}>
        <button type="button" className="quiet" onClick={onAddOwn}>
          add a figure of my own
        </button>
        <Choice<Preference>
          label="order of the rows"
          value={preferenceOf(plan)}
          options={PREFERENCES}
          onChange={(preference) => onCommand({ do: 'prefer', preference })}
        />
      </span>
    </div>
  );
}

/** What may stand in the place of the ledger. */
export type View = 'ledger' | 'reach' | 'line' | 'sweep';

const VIEWS: readonly { view: View; text: string }[] = [
  { view: 'ledger', text: 'Ledger' },
  { view: 'reach', text: 'Reach' },
  { view: 'line', text: 'Line' },
  { view: 'sweep', text: 'Sweep' },
];

/** What an address asks for, or the ledger. */
export function viewOf(asked: string | null): View {
  return VIEWS.find((v) => v.view === asked)?.view ?? 'ledger';
}

function Views({ view, onView }: { view: View; onView: (view: View) => void }) {
  return (
    <div role="group" aria-label="view" className="flex gap-3">
      {VIEWS.map((v) => (
        <button
          key={v.view}
          type="button"
          aria-pressed={v.view === view}
          className={`min-h-6 border-b-2 ${v.view === view ? 'border-blue font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
          onClick={() => onView(v.view)}
        >
          {v.text}
        </button>
      ))}
    </div>
  );
}

function AskedSentence({
  asked,
  kinds,
  onKind,
  onCommand,
  onTrouble,
}: {
  asked: Requirement;
  kinds: readonly { value: Kind; text: string }[];
  onKind: (kind: Kind) => void;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}) {
  const field = FIELDS[asked.kind];
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-1.5">
      <Choice label="what is asked for" value={asked.kind} options={kinds} onChange={onKind} />
      <span className="text-soft">: {words.requirement[asked.kind]}</span>
      <QuantityField
        label="asked for"
        keptAs={asked.kind}
        kind={field.kind}
        unit={field.unit}
        unitLabel={field.label}
        value={asked[field.name]}
        show={(v) => plain(v)}
        say={(v) => askedText(asked.kind, v)}
        className="font-semibold"
        onCommit={(value) =>
          onCommand({ do: 'ask', requirement: { kind: asked.kind, [field.name]: value } })
        }
        onTrouble={(message) => onTrouble('asked', message)}
      />
      <span className="text-soft">{words.requirementTail[asked.kind]}</span>
      <button
        type="button"
        className="quiet text-[11px]"
        onClick={() => onCommand({ do: 'ask', requirement: null })}
      >
        ask nothing
      </button>
    </span>
  );
}
