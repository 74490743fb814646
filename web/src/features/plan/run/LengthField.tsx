import { usePreferences } from '../../../app/preferences';
import { QuantityField } from '../../../ui';
import { lengthFigure, lengthText, unitTyped } from '../../../units';
import type { Line } from '../document/model';
import { useSheet } from '../sheetContext';

/** The length of one section, typed, or stepped by the arrow keys. */
export function LengthField({
  element,
  index,
  label,
}: {
  element: Line;
  index: number;
  label: string;
}) {
  const { command, trouble } = useSheet();
  const { lengths, setLengths } = usePreferences();
  const unit = unitTyped(element.lengthM ?? 0, lengths);
  return (
    <QuantityField
      label={label}
      keptAs={`length ${element.id ?? index}`}
      kind="length"
      unit={unit}
      unitLabel={unit}
      value={element.lengthM}
      least={0.01}
      step={{ small: 0.1, large: 1 }}
      show={(v) => lengthFigure(v, unit)}
      say={(v) => lengthText(v, lengths)}
      className="font-semibold"
      otherUnit={
        lengths === 'm'
          ? {
              typedAs: /\d\s*(?:ft|feet|foot|'|in|")/i,
              offer: 'Show feet everywhere',
              take: () => setLengths('ft'),
            }
          : undefined
      }
      onCommit={(lengthM) => command({ do: 'setLength', element: index, lengthM })}
      onTrouble={(message) => trouble(`length ${index}`, message)}
    />
  );
}
