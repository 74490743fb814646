import type { BenchNotes, CableType } from '../../api';
import { usePreferences } from '../../app/preferences';
import { QuantityField, Select } from '../../ui';
import { lengthFigure, lengthText } from '../../units';
import { typeOptions } from '../../words';

const NOT_KNOWN = '';
const NOBODY_KNOWS = { value: NOT_KNOWN, text: 'not known' };

/** Type and length of the cable that is tested, typed where it is drawn. */
export function CableUnderTest({
  notes,
  types,
  onChange,
}: {
  notes: BenchNotes;
  types: readonly CableType[];
  onChange: (notes: BenchNotes) => void;
}) {
  const { lengths } = usePreferences();
  return (
    <span className="flex flex-wrap items-baseline gap-x-4">
      <label className="inline-flex items-baseline gap-1 text-soft">
        type
        <Select
          label="type of the cable"
          value={notes.cableKey ?? NOT_KNOWN}
          options={[NOBODY_KNOWS, ...typeOptions(types, notes.cableKey)]}
          onChange={(key) => onChange({ ...notes, cableKey: key === NOT_KNOWN ? undefined : key })}
        />
      </label>
      <span className="inline-flex items-baseline gap-1 text-soft">
        length
        <QuantityField
          label="length of the piece"
          kind="length"
          unit={lengths}
          unitLabel={lengths}
          least={0.01}
          value={notes.lengthM}
          show={(v) => lengthFigure(v, lengths)}
          say={(v) => lengthText(v, lengths)}
          onCommit={(lengthM) => onChange({ ...notes, lengthM })}
        />
        {notes.lengthM !== undefined && (
          <button
            type="button"
            className="quiet text-small"
            onClick={() => onChange({ ...notes, lengthM: undefined })}
          >
            not known
          </button>
        )}
      </span>
    </span>
  );
}
