import { HouseLink } from '../../../app/HouseLink';
import { Fact, QuantityField, Select } from '../../../ui';
import { plain } from '../../../units';
import type { Element, Joint, Line } from '../document/model';
import { useSheet } from '../sheetContext';
import { Amount, Bears, Loss, Name } from './ElementAmounts';
import { DeviceLoss } from './DeviceLoss';
import { shortConnector } from './elements';
import { ForkFacts } from './ForkFacts';
import { PreamplifierFacts } from './PreamplifierFacts';

interface Props {
  element: Element;
  index: number;
}

/** What can be said of an element, by its kind. */
export function ElementFacts({ element, index, name }: Props & { name: string }) {
  const { connectors, command } = useSheet();
  const change = (to: Element) => command({ do: 'changeElement', element: index, to });
  switch (element.kind) {
    case 'LINE':
      return <LineFacts line={element} index={index} name={name} change={change} />;
    case 'JOINT':
      return (
        <>
          <Fact label="connector">
            <Select
              label="connector"
              value={element.connectorKey ?? ''}
              options={connectors
                .filter((c) => !c.retired || c.key === element.connectorKey)
                .map((c) => ({ value: c.key, text: shortConnector(c.name) }))}
              onChange={(connectorKey) => change({ ...element, connectorKey, bump: undefined })}
            />
          </Fact>
          <JointLoss joint={element} index={index} change={change} />
          <label className="flex items-baseline gap-2">
            <input
              type="checkbox"
              checked={element.barrel === true}
              onChange={(e) => change({ ...element, barrel: e.target.checked || undefined })}
            />
            <span>a barrel that joins two plugs</span>
          </label>
        </>
      );
    case 'DEVICE':
      return (
        <>
          <Name element={element} index={index} />
          <DeviceLoss device={element} index={index} />
          <Bears element={element} index={index} />
        </>
      );
    case 'PREAMPLIFIER':
      return <PreamplifierFacts preamplifier={element} index={index} />;
    case 'FORK':
      return <ForkFacts fork={element} index={index} />;
    case 'TRANSFORMER':
      return (
        <>
          <Amount
            of={{ element, index }}
            fact="antenna side to radio side"
            label="impedance ratio"
            name="ratio"
            kind="impedanceRatio"
            unit=""
            unitLabel=": 1"
            value={element.impedanceRatio}
            say={(v) => `${plain(v)}:1`}
            onCommit={(impedanceRatio) => change({ ...element, impedanceRatio })}
          />
          <Loss element={element} index={index} />
          <Bears element={element} index={index} />
        </>
      );
  }
}

function LineFacts({
  line,
  change,
  name,
  index,
}: {
  line: Line;
  index: number;
  change: (to: Element) => void;
  name: string;
}) {
  const { catalogue, command } = useSheet();
  return (
    <>
      {line.pieceId && (
        <p>
          A piece of yours:{' '}
          <HouseLink className="quiet" to={`/locker/${line.pieceId}`}>
            {line.name ?? 'in the locker'}
          </HouseLink>
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
              change({ ...line, cableKey, cable: undefined, pieceId: undefined, name: undefined })
            }
          />
        </Fact>
      )}
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={line.candidate === true}
          onChange={(e) => command({ do: 'offerLine', element: index, offered: e.target.checked })}
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
function JointLoss({
  joint,
  index,
  change,
}: {
  joint: Joint;
  index: number;
  change: (to: Element) => void;
}) {
  const { plan, assessment, command, trouble } = useSheet();
  const flatJointLossDb = plan.document.assessment?.flatJointLossDb;
  const lossDb = assessment?.elements[index]?.lossDb;
  const isOwn = joint.lossDb !== undefined;
  const school: School = isOwn ? 'own' : flatJointLossDb === undefined ? 'typical' : 'flat';

  function follow(chosen: School) {
    if (chosen === 'own') {
      change({ ...joint, lossDb: Number((lossDb ?? USUAL_FLAT_LOSS_DB).toFixed(3)) });
      return;
    }
    if (isOwn) change({ ...joint, lossDb: undefined });
    command({
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
      {isOwn && <Loss element={joint} index={index} />}
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
            onCommit={(flatLossDb) => command({ do: 'chargeJoints', flatLossDb })}
            onTrouble={(message) => trouble('flat joint loss', message)}
          />
        </Fact>
      )}
    </>
  );
}
