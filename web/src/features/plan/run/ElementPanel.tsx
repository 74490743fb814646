import { Link } from 'react-router';
import { Fact, OpensInPlace, QuantityField, Select, TextField } from '../../../ui';
import { fixed, plain } from '../../../units';
import type { Command } from '../document/commands';
import type { Element, Joint, Line } from '../document/model';
import type { Named } from './elements';
import { elementName, KIND_WORDS, shortConnector } from './elements';
import { STOP } from './useWalk';

export interface ElementContext extends Named {
  count: number;
  /** What every joint is charged that states no loss of its own, dB. */
  flatJointLossDb: number | undefined;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}

interface Props extends ElementContext {
  element: Element;
  index: number;
  lossDb: number | undefined;
  /** Whether Tab stops at this one of the list. */
  isStop: boolean;
  className?: string;
}

/** An element's name; it opens, in place, to everything that can be said of it. */
export function ElementPanel(props: Props) {
  const { element, index, count, lossDb, isStop } = props;
  const name = elementName(element, props);
  const loses = lossDb === undefined ? '' : `, loses ${fixed(lossDb, 2)} dB`;
  return (
    <OpensInPlace
      label={`${KIND_WORDS[element.kind]} ${name}${loses}, ${index + 1} of ${count}`}
      text={name}
      className={`block max-w-full truncate text-left underline decoration-control underline-offset-4 hover:text-blue ${props.className ?? ''}`}
      button={{ [STOP]: index, tabIndex: isStop ? 0 : -1 }}
    >
      {(close) => <Opened {...props} name={name} close={close} />}
    </OpensInPlace>
  );
}

function Opened(props: Props & { name: string; close: () => void }) {
  const { element, index, count, onCommand, close } = props;
  const act = (command: Command) => {
    close();
    onCommand(command);
  };
  return (
    <>
      <p className="text-small text-soft">
        {KIND_WORDS[element.kind]}, {index + 1} of {count} from the radio
      </p>
      <Facts {...props} />
      <div className="flex flex-wrap gap-x-4 border-t border-hairline pt-2">
        <button
          type="button"
          className="quiet"
          disabled={index === 0}
          onClick={() => act({ do: 'moveElement', from: index, to: index - 1 })}
        >
          toward the radio
        </button>
        <button
          type="button"
          className="quiet"
          disabled={index === count - 1}
          onClick={() => act({ do: 'moveElement', from: index, to: index + 1 })}
        >
          toward the antenna
        </button>
        {element.kind === 'LINE' && !element.pieceId && (
          <button
            type="button"
            className="quiet"
            onClick={() => act({ do: 'splitLine', element: index, atM: half(element) })}
          >
            split in the middle
          </button>
        )}
        {!(element.kind === 'LINE' && element.pieceId) && (
          <button
            type="button"
            className="quiet"
            onClick={() => act({ do: 'duplicateElement', element: index })}
          >
            duplicate
          </button>
        )}
        <button
          type="button"
          className="quiet"
          onClick={() => act({ do: 'removeElement', element: index })}
        >
          take out
        </button>
      </div>
    </>
  );
}

function half(line: Line): number {
  return Number(((line.lengthM ?? 0) / 2).toFixed(3));
}

function Facts(props: Props & { name: string }) {
  const { element, index, onCommand } = props;
  const change = (to: Element) => onCommand({ do: 'changeElement', element: index, to });
  switch (element.kind) {
    case 'LINE':
      return <LineFacts {...props} line={element} change={change} />;
    case 'JOINT':
      return (
        <>
          <Fact label="connector">
            <Select
              label="connector"
              value={element.connectorKey ?? ''}
              options={props.connectors
                .filter((c) => !c.retired || c.key === element.connectorKey)
                .map((c) => ({ value: c.key, text: shortConnector(c.name) }))}
              onChange={(connectorKey) =>
                change({ id: element.id, kind: 'JOINT', connectorKey, lossDb: element.lossDb })
              }
            />
          </Fact>
          <JointLoss {...props} joint={element} change={change} />
        </>
      );
    case 'DEVICE':
      return (
        <>
          <Name {...props} />
          <Loss {...props} element={element} />
        </>
      );
    case 'TRANSFORMER':
      return (
        <>
          <Fact label="antenna side to radio side">
            <QuantityField
              label="impedance ratio"
              keptAs={`ratio ${element.id ?? index}`}
              kind="impedanceRatio"
              unit=""
              unitLabel=": 1"
              value={element.impedanceRatio}
              show={(v) => plain(v)}
              say={(v) => `${plain(v)}:1`}
              onCommit={(impedanceRatio) => change({ ...element, impedanceRatio })}
              onTrouble={(message) => props.onTrouble(`ratio ${index}`, message)}
            />
          </Fact>
          <Loss {...props} element={element} />
        </>
      );
  }
}

function LineFacts({
  line,
  catalogue,
  change,
  name,
  index,
  onCommand,
}: Props & { line: Line; change: (to: Element) => void; name: string }) {
  return (
    <>
      {line.pieceId && (
        <p>
          A piece of yours:{' '}
          <Link className="quiet" to={`/locker/${line.pieceId}`}>
            {line.name ?? 'in the locker'}
          </Link>
          . It stands here with what was measured of it.
        </p>
      )}
      {!line.candidate && (
        <Fact label="type">
          <Select
            label="type"
            value={line.cableKey ?? ''}
            options={catalogue.map((t) => ({ value: t.key, text: t.name }))}
            onChange={(cableKey) =>
              change({ id: line.id, kind: 'LINE', lengthM: line.lengthM, cableKey })
            }
          />
        </Fact>
      )}
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={line.candidate === true}
          onChange={(e) =>
            onCommand({ do: 'offerLine', element: index, offered: e.target.checked })
          }
        />
        <span>
          the ledger chooses this cable
          {line.candidate && <span className="block text-small text-soft">shown: {name}</span>}
        </span>
      </label>
    </>
  );
}

type School = 'typical' | 'flat' | 'own';

const SCHOOLS: readonly { value: School; text: string }[] = [
  { value: 'typical', text: 'what is typical of it' },
  { value: 'flat', text: 'the same at every joint' },
  { value: 'own', text: 'a figure of my own' },
];

const USUAL_FLAT_LOSS_DB = 0.2;

/** Three schools of what a joint loses; the flat one is a matter of the whole plan. */
function JointLoss(props: Props & { joint: Joint; change: (to: Element) => void }) {
  const { joint, flatJointLossDb, lossDb, change, onCommand, onTrouble } = props;
  const isOwn = joint.lossDb !== undefined;
  const school: School = isOwn ? 'own' : flatJointLossDb === undefined ? 'typical' : 'flat';

  function follow(chosen: School) {
    if (chosen === 'own') {
      change({ ...joint, lossDb: Number((lossDb ?? USUAL_FLAT_LOSS_DB).toFixed(3)) });
      return;
    }
    if (isOwn) change({ ...joint, lossDb: undefined });
    onCommand({
      do: 'chargeJoints',
      flatLossDb: chosen === 'flat' ? (flatJointLossDb ?? USUAL_FLAT_LOSS_DB) : null,
    });
  }

  return (
    <>
      <Fact label="it loses">
        <Select
          label="loss of the joint"
          value={school}
          options={joint.connectorKey ? SCHOOLS : SCHOOLS.slice(2)}
          onChange={follow}
        />
      </Fact>
      {isOwn && <Loss {...props} element={joint} />}
      {school === 'flat' && (
        <Fact label="every joint of this plan">
          <QuantityField
            label="flat loss of a joint"
            kind="elementLoss"
            unit="db"
            unitLabel="dB"
            value={flatJointLossDb}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} dB`}
            onCommit={(flatLossDb) => onCommand({ do: 'chargeJoints', flatLossDb })}
            onTrouble={(message) => onTrouble('flat joint loss', message)}
          />
        </Fact>
      )}
    </>
  );
}

function Name({ element, index, onCommand }: Props) {
  return (
    <Fact label="name">
      <TextField
        label="name of the device"
        value={element.name ?? ''}
        onCommit={(name) =>
          onCommand({ do: 'changeElement', element: index, to: { ...element, name } })
        }
      />
    </Fact>
  );
}

function Loss({
  element,
  index,
  onCommand,
  onTrouble,
}: Props & { element: Exclude<Element, Line> }) {
  return (
    <Fact label="loses">
      <QuantityField
        label="own loss"
        keptAs={`loss ${element.id ?? index}`}
        kind="elementLoss"
        unit="db"
        unitLabel="dB"
        value={element.lossDb ?? 0}
        show={(v) => plain(v)}
        say={(v) => `${plain(v)} dB`}
        onCommit={(lossDb) =>
          onCommand({ do: 'changeElement', element: index, to: { ...element, lossDb } })
        }
        onTrouble={(message) => onTrouble(`loss ${index}`, message)}
      />
    </Fact>
  );
}
