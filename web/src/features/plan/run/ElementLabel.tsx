import { powerText } from '../../../units';
import type { Element } from '../document/model';
import { useSheet } from '../sheetContext';
import { ElementPanel } from './ElementPanel';
import { changeDb, elementName, heatOf } from './elements';
import type { Named } from './elements';
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
  isStop,
}: {
  element: Element;
  index: number;
  width: number;
  isStop: boolean;
}) {
  const sheet = useSheet();
  const lossDb = sheet.assessment?.elements[index]?.lossDb;
  const heatW = heatOf(sheet.assessment, index);
  const isLine = element.kind === 'LINE';
  return (
    <>
      {isLine ? <Bracket /> : <span className="h-2" />}
      <span
        className={`flex max-w-full ${width >= ROOMY ? 'items-baseline gap-1.5' : 'flex-col items-center'}`}
      >
        <ElementPanel
          element={element}
          index={index}
          isStop={isStop}
          className={`text-fine ${isLine ? 'font-semibold' : ''}`}
        />
        {isLine && (
          <LengthField element={element} index={index} label={lengthLabel(element, sheet)} />
        )}
      </span>
      <span
        className={`figures whitespace-nowrap text-soft ${width < TIGHT ? 'text-tight tracking-tight' : 'text-small'}`}
      >
        {changeDb(element, lossDb, !sheet.hasWatts)}
        {width >= ROOMY && heatW !== null && `, ${powerText(heatW)} heat`}
      </span>
    </>
  );
}

/** The section that is up for choice is the length of the matter; any other is told by its name. */
export function lengthLabel(element: Element, named: Named): string {
  return element.kind === 'LINE' && element.candidate
    ? 'length'
    : `length of ${elementName(element, named)}`;
}

function Bracket() {
  return (
    <span
      aria-hidden="true"
      className="mb-0.5 block h-1.5 w-[calc(100%-8px)] shrink-0 border border-t-0 border-ink"
    />
  );
}
