import type { BenchNotes } from '../../api';
import { QuantityField } from '../../ui';
import { frequencyText, plain } from '../../units';
import { withReading } from './notes';

/** Where a row was read, typed as a frequency or as the name of a band. */
export function RowFrequency({
  notes,
  index,
  onChange,
}: {
  notes: BenchNotes;
  index: number;
  onChange: (notes: BenchNotes) => void;
}) {
  return (
    <QuantityField
      label={`frequency of row ${index + 1}`}
      kind="frequency"
      unit="mhz"
      unitLabel="MHz"
      value={notes.readings?.[index]?.frequencyMHz}
      show={(v) => plain(v, 4)}
      say={frequencyText}
      onCommit={(frequencyMHz) => onChange(withReading(notes, index, { frequencyMHz }))}
    />
  );
}
