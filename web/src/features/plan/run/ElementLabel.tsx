import { fixed, powerText } from '../../../units';
import type { Element } from '../document/model';
import { ElementPanel } from './ElementPanel';
import type { ElementContext } from './ElementPanel';
import { elementName } from './elements';
import { LengthField } from './LengthField';

/** Wide enough for a name and a length side by side, px. */
const ROOMY = 150;

/** So narrow that a loss with its unit needs smaller figures not to run into the next, px. */
const TIGHT = 64;

/** Below an element on the drawing: its name, its length, its own loss. */
export function ElementLabel({
  element,
  index,
  width,
  lossDb,
  heatW,
  isStop,
  ...context
}: ElementContext & {
  element: Element;
  index: number;
  width: number;
  lossDb: number | undefined;
  heatW: number | null;
  isStop: boolean;
}) {
  const isLine = element.kind === 'LINE';
  return (
    <>
      {isLine ? <Bracket /> : <span className="h-2" />}
      <span
        className={`flex max-w-full ${width >= ROOMY ? 'items-baseline gap-1.5' : 'flex-col items-center'}`}
      >
        <ElementPanel
          {...context}
          element={element}
          index={index}
          lossDb={lossDb}
          isStop={isStop}
          className={`text-fine ${isLine ? 'font-semibold' : ''}`}
        />
        {isLine && (
          <LengthField
            element={element}
            index={index}
            label={lengthLabel(element, context)}
            isStop={isStop}
            onCommand={context.onCommand}
            onTrouble={context.onTrouble}
          />
        )}
      </span>
      <span
        className={`figures whitespace-nowrap text-soft ${width < TIGHT ? 'text-tight tracking-tight' : 'text-small'}`}
      >
        {lossDb !== undefined && `${fixed(-lossDb, 2)} dB`}
        {width >= ROOMY && heatW !== null && `, ${powerText(heatW)} heat`}
      </span>
    </>
  );
}

/** The section that is up for choice is the length of the matter; any other is told by its name. */
export function lengthLabel(element: Element, context: ElementContext): string {
  return element.kind === 'LINE' && element.candidate
    ? 'length'
    : `length of ${elementName(element, context)}`;
}

function Bracket() {
  return (
    <span
      aria-hidden="true"
      className="mb-0.5 block h-1.5 w-[calc(100%-8px)] shrink-0 border border-t-0 border-ink"
    />
  );
}
