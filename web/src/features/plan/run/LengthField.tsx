import { usePreferences } from '../../../app/preferences';
import { QuantityField } from '../../../ui';
import { lengthFigure, lengthText } from '../../../units';
import type { Command } from '../document/commands';
import type { Line } from '../document/model';

/** The length of one section, typed, or stepped by the arrow keys. */
export function LengthField({
  element,
  index,
  label,
  isStop,
  onCommand,
  onTrouble,
}: {
  element: Line;
  index: number;
  label: string;
  /** Whether Tab stops here. */
  isStop?: boolean;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}) {
  const { lengths } = usePreferences();
  return (
    <QuantityField
      label={label}
      keptAs={`length ${element.id ?? index}`}
      kind="length"
      unit={lengths}
      unitLabel={lengths}
      value={element.lengthM}
      least={0.01}
      step={{ small: 0.1, large: 1 }}
      isStop={isStop}
      show={(v) => lengthFigure(v, lengths)}
      say={(v) => lengthText(v, lengths)}
      className="font-semibold"
      onCommit={(lengthM) => onCommand({ do: 'setLength', element: index, lengthM })}
      onTrouble={(message) => onTrouble(`length ${index}`, message)}
    />
  );
}
