import { usePreferences } from '../../../app/preferences';
import type { Element } from '../document/model';
import { useSheet } from '../sheetContext';
import { lengthLabel } from './ElementLabel';
import { changeDb } from './elements';
import { OtherWays } from './OtherWays';
import { ElementPanel } from './ElementPanel';
import { LengthField } from './LengthField';

interface Labelled {
  element: Element;
  index: number;
  isStop: boolean;
  reading: string;
}

/** Beside an element of the upright run: its name, its length by stepper, and what arrives behind it. */
export function UprightLabel({ element, index, reading, isStop }: Labelled) {
  const sheet = useSheet();
  const { lengths } = usePreferences();
  const loss = sheet.assessment?.elements[index]?.lossDb;
  const change = changeDb(element, loss, !sheet.hasWatts);
  const figures = (
    <span className="figures text-fine text-soft">
      {reading}
      {change !== null && `, ${change}`}
    </span>
  );
  const name = (
    <ElementPanel
      element={element}
      index={index}
      isStop={isStop}
      className={element.kind === 'LINE' ? 'min-h-11 font-semibold' : 'min-h-11'}
    />
  );
  if (element.kind !== 'LINE') {
    return (
      <span className="flex flex-wrap items-center gap-x-3">
        {name}
        {figures}
        {element.kind === 'FORK' && <OtherWays />}
      </span>
    );
  }
  const step = lengths === 'm' ? 1 : 0.3048;
  const lengthM = element.lengthM ?? 0;
  const setLength = (metres: number) =>
    sheet.command({ do: 'setLength', element: index, lengthM: Number(metres.toFixed(4)) });
  return (
    <>
      {name}
      <span className="flex items-center gap-1">
        <Step
          label="shorter"
          text="−"
          disabled={lengthM <= step}
          onClick={() => setLength(lengthM - step)}
        />
        <LengthField element={element} index={index} label={lengthLabel(element, sheet)} />
        <Step label="longer" text="+" disabled={false} onClick={() => setLength(lengthM + step)} />
      </span>
      {figures}
    </>
  );
}

function Step({
  label,
  text,
  disabled,
  onClick,
}: {
  label: string;
  text: string;
  disabled: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      className="h-11 w-11 border border-control text-heading disabled:text-faint"
      onClick={onClick}
    >
      {text}
    </button>
  );
}
