import type { Connector } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Fact, OpensInPlace, QuantityField, Select, Term, useNarrow } from '../../../ui';
import { inUnit, lengthFigure, lengthText, moneyFigure, plain } from '../../../units';
import { ASKED_TERMS, ASKED_WORDS, askedText } from '../../../words';
import type { Kind } from '../../../words';
import {
  FIELDS,
  firstAsked,
  GROUPS,
  isForReceivers,
  isOfBands,
  numberOf,
  shownNumber,
  withNumber,
} from './asked';
import type { Command } from '../document/commands';
import type { Plan, Requirement } from '../document/model';
import { bandName, bandsOf, requirementsOf, timesOf } from '../document/model';
import { reasonFor } from '../document/presets';

interface Props {
  plan: Plan;
  connectors: readonly Connector[];
  isReceiver: boolean;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

/** What is asked, as short sentences with their numbers in them, and how the cable is bought. */
export function Asked(props: Props) {
  const { plan, isReceiver, onCommand } = props;
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
        <Sentence key={`${requirement.kind} ${i}`} {...props} asked={requirement} index={i} />
      ))}
      <OpensInPlace
        label="ask for something more"
        text="+ ask"
        className="quiet"
        width={narrow ? 280 : 440}
      >
        {(close) => (
          <AskMore
            isReceiver={isReceiver}
            onAsk={(kind) => {
              onCommand({ do: 'askMore', requirement: firstAsked(kind, settings.currency) });
              close();
            }}
          />
        )}
      </OpensInPlace>
      <Bought {...props} />
    </section>
  );
}

/** One requirement; its number is typed where it stands, and the words after it open the rest. */
function Sentence({ plan, connectors, asked, index, onCommand, onTrouble }: Props & SentenceProps) {
  const { kind } = asked;
  const field = FIELDS[kind];
  const { settings } = usePreferences();
  const said = ASKED_WORDS[kind];
  const fahrenheit = kind === 'COLDEST_UNROLLING' && settings.temperatures === 'FAHRENHEIT';
  const unit = fahrenheit ? '°f' : (field?.unit ?? '');
  const value = numberOf(asked);
  const change = (to: Requirement) => onCommand({ do: 'changeAsked', asked: index, to });
  const band = bandsOf(plan).find((b) => b.id !== undefined && b.id === asked.bandId);
  const where = !isOfBands(kind) ? '' : band ? `on ${bandName(band)}` : 'on every band';
  const rest = [field ? said.tail : said.lead, where].filter(Boolean).join(' ');
  return (
    <span
      data-asked={kind}
      className={`inline-flex flex-wrap items-baseline gap-x-1 ${asked.off ? 'text-soft line-through' : ''}`}
    >
      {field && (
        <>
          <span className="text-soft">{said.lead}</span>
          <QuantityField
            label={`asked for: ${said.name}`}
            keptAs={`asked ${kind} ${asked.bandId ?? ''}`}
            kind={field.kind}
            unit={unit}
            unitLabel={kind === 'BUDGET' ? (asked.currency ?? '') : fahrenheit ? '°F' : field.label}
            value={value}
            show={(v) =>
              fahrenheit ? plain(inUnit(v, 'temperature', unit), 1) : shownNumber(kind, v)
            }
            say={(v) => askedText(kind, v, asked.currency)}
            className="font-semibold"
            onCommit={(number) => change(withNumber(asked, number))}
            onTrouble={(message) => onTrouble(`asked ${index}`, message)}
          />
        </>
      )}
      <OpensInPlace
        label={`about “${said.name}”`}
        text={rest || '…'}
        className={`in-place min-h-6 ${field ? 'text-soft' : 'font-semibold'}`}
      >
        {(close) => (
          <Opened
            plan={plan}
            connectors={connectors}
            asked={asked}
            onChange={change}
            onDrop={() => {
              onCommand({ do: 'dropAsked', asked: index });
              close();
            }}
            onTrouble={onTrouble}
          />
        )}
      </OpensInPlace>
    </span>
  );
}

interface SentenceProps {
  asked: Requirement;
  index: number;
}

const EVERY_BAND = '';
const NOT_SAID = '';

const SOCKETS = [
  ['radioSocketKey', 'socket of the radio'],
  ['antennaSocketKey', 'socket of the antenna'],
] as const;

function Opened({
  plan,
  connectors,
  asked,
  onChange,
  onDrop,
  onTrouble,
}: {
  plan: Plan;
  connectors: readonly Connector[];
  asked: Requirement;
  onChange: (to: Requirement) => void;
  onDrop: () => void;
  onTrouble: Props['onTrouble'];
}) {
  const { lengths } = usePreferences();
  const why = reasonFor(plan.document.use, asked);
  const term = ASKED_TERMS[asked.kind];
  return (
    <>
      {why && <p className="text-fine">{why}</p>}
      {isOfBands(asked.kind) && (
        <Fact label="asked of">
          <Select
            label="band it is asked of"
            value={asked.bandId ?? EVERY_BAND}
            options={[
              { value: EVERY_BAND, text: 'every band' },
              ...bandsOf(plan).flatMap((b) => (b.id ? [{ value: b.id, text: bandName(b) }] : [])),
            ]}
            onChange={(id) => onChange({ ...asked, bandId: id === EVERY_BAND ? undefined : id })}
          />
        </Fact>
      )}
      {asked.kind === 'MOST_MASS_ON_MAST' && (
        <Fact label="hangs on the mast">
          <QuantityField
            label="length on the mast"
            kind="length"
            unit={lengths}
            unitLabel={lengths}
            value={asked.mastM}
            show={(v) => lengthFigure(v, lengths)}
            say={(v) => lengthText(v, lengths)}
            onCommit={(mastM) => onChange({ ...asked, mastM })}
            onTrouble={(message) => onTrouble('length on the mast', message)}
          />
        </Fact>
      )}
      {asked.kind === 'CONNECTORS' &&
        SOCKETS.map(([key, label]) => (
          <Fact key={key} label={label}>
            <Select
              label={label}
              value={asked[key] ?? NOT_SAID}
              options={[
                { value: NOT_SAID, text: 'not said' },
                ...connectors.map((c) => ({ value: c.key, text: c.name })),
              ]}
              onChange={(chosen) =>
                onChange({ ...asked, [key]: chosen === NOT_SAID ? undefined : chosen })
              }
            />
          </Fact>
        ))}
      {term && (
        <p className="text-fine text-soft">
          <Term of={term}>what that means for a cable</Term>
        </p>
      )}
      <span className="flex gap-4">
        <button
          type="button"
          className="quiet"
          onClick={() => onChange({ ...asked, off: asked.off ? undefined : true })}
        >
          {asked.off ? 'ask it again' : 'put it aside'}
        </button>
        <button type="button" className="quiet" onClick={onDrop}>
          ask it no more
        </button>
      </span>
    </>
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

const TIMES = [1, 2, 4].map((n) => ({
  value: String(n),
  text: n === 1 ? 'one run' : `${n} equal runs`,
}));

/** How often the run is needed, and who makes up its ends. */
function Bought({ plan, onCommand, onTrouble }: Props) {
  const { settings } = usePreferences();
  const purchase = plan.document.purchase ?? {};
  const times = timesOf(plan);
  const end = purchase.readyMadeEnd;
  const said = [
    times === 1 ? 'one run' : `${times} equal runs`,
    end ? `ends ready-made at ${moneyFigure(end.amount)} ${end.currency}` : 'ends fitted by myself',
  ];
  return (
    <OpensInPlace
      label="how it is bought"
      text={said.join(', ')}
      className="in-place ml-auto min-h-6 text-soft"
    >
      {() => (
        <>
          <Fact label="needed">
            <Select
              label="how often the run is needed"
              value={String(times)}
              options={TIMES}
              onChange={(n) =>
                onCommand({ do: 'buy', purchase: { ...purchase, times: Number(n) } })
              }
            />
          </Fact>
          <Fact label="ends">
            <Select
              label="who makes up the ends"
              value={end ? 'ready' : 'fitted'}
              options={[
                { value: 'fitted', text: 'fitted by myself' },
                { value: 'ready', text: 'ready-made' },
              ]}
              onChange={(who) =>
                onCommand({
                  do: 'buy',
                  purchase: {
                    ...purchase,
                    readyMadeEnd:
                      who === 'ready' ? { amount: 10, currency: settings.currency } : undefined,
                  },
                })
              }
            />
          </Fact>
          {end && (
            <Fact label="price of one end">
              <QuantityField
                label="price of one ready-made end"
                kind="price"
                unit=""
                unitLabel={end.currency}
                value={end.amount}
                show={(v) => plain(v, 2)}
                say={(v) => `${plain(v, 2)} ${end.currency}`}
                onCommit={(amount) =>
                  onCommand({
                    do: 'buy',
                    purchase: { ...purchase, readyMadeEnd: { ...end, amount } },
                  })
                }
                onTrouble={(message) => onTrouble('ready-made end', message)}
              />
            </Fact>
          )}
          <p className="text-small text-soft">
            Cost and mass are those of all runs; ends fitted by yourself cost what their connectors
            do.
          </p>
        </>
      )}
    </OpensInPlace>
  );
}
