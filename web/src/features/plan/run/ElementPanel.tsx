import { OpensInPlace } from '../../../ui';
import { fixed } from '../../../units';
import type { Command } from '../document/commands';
import type { Element, Line } from '../document/model';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { ElementFacts } from './ElementFacts';
import { elementName, KIND_WORDS } from './elements';
import { KeepDevice } from './KeepDevice';
import { Owning } from './Owning';
import { STOP } from './useWalk';

interface Props {
  element: Element;
  index: number;
}

/** An element's name; it opens, in place, to everything that can be said of it. */
export function ElementPanel({
  element,
  index,
  isStop,
  className = '',
}: Props & {
  /** Whether Tab stops at this one of the list. */
  isStop: boolean;
  className?: string;
}) {
  const sheet = useSheet();
  const name = elementName(element, sheet);
  const lossDb = sheet.assessment?.elements[index]?.lossDb;
  const loses = lossDb === undefined ? '' : `, loses ${fixed(lossDb, 2)} dB`;
  const place = `${index + 1} of ${runOf(sheet.plan).length}`;
  return (
    <OpensInPlace
      label={`${KIND_WORDS[element.kind]} ${name}${loses}, ${place}`}
      text={name}
      className={`block max-w-full truncate text-left underline decoration-control underline-offset-4 hover:text-blue ${className}`}
      button={{ [STOP]: index, tabIndex: isStop ? 0 : -1 }}
    >
      {(close) => (
        <>
          <p className="text-small text-soft">
            {KIND_WORDS[element.kind]}, {place} from the radio
          </p>
          <ElementFacts element={element} index={index} name={name} />
          <Owning element={element} index={index} />
          <Moves element={element} index={index} name={name} close={close} />
        </>
      )}
    </OpensInPlace>
  );
}

/** What can be done with an element as a whole. */
function Moves({ element, index, name, close }: Props & { name: string; close: () => void }) {
  const { plan, command } = useSheet();
  const isPiece = element.kind === 'LINE' && element.pieceId;
  const act = (c: Command) => {
    close();
    command(c);
  };
  return (
    <div className="flex flex-wrap gap-x-4 border-t border-hairline pt-2">
      <button
        type="button"
        className="quiet"
        disabled={index === 0}
        onClick={() => act({ do: 'moveElement', from: index, to: index - 1 })}
      >
        Move toward the radio
      </button>
      <button
        type="button"
        className="quiet"
        disabled={index === runOf(plan).length - 1}
        onClick={() => act({ do: 'moveElement', from: index, to: index + 1 })}
      >
        Move toward the antenna
      </button>
      {element.kind === 'LINE' && !isPiece && (
        <button
          type="button"
          className="quiet"
          onClick={() => act({ do: 'splitLine', element: index, atM: half(element) })}
        >
          Split in the middle
        </button>
      )}
      {!isPiece && (
        <button
          type="button"
          className="quiet"
          onClick={() => act({ do: 'duplicateElement', element: index })}
        >
          Duplicate
        </button>
      )}
      <button
        type="button"
        className="quiet"
        onClick={() => act({ do: 'removeElement', element: index })}
      >
        Take out
      </button>
      <KeepDevice element={element} name={name} />
    </div>
  );
}

function half(line: Line): number {
  return Number(((line.lengthM ?? 0) / 2).toFixed(3));
}
