import { QuantityField } from '../../ui';
import { plain, powerText } from '../../units';
import { sentences } from '../../words';
import { Labelled } from './Labelled';
import type { Change } from './OneOf';

/** The most power that the operator notes they may use. */
export function Licence({ value, onChange }: { value: number | null; onChange: Change }) {
  return (
    <Labelled label="Most power I may use, as I note it">
      <span className="flex flex-col gap-1">
        <span className="flex items-baseline gap-4">
          <QuantityField
            label="licence power"
            kind="power"
            unit="w"
            unitLabel="W"
            value={value ?? undefined}
            show={(v) => plain(v)}
            say={powerText}
            onCommit={(licencePowerW) => onChange({ licencePowerW })}
          />
          {value !== null && (
            <button
              type="button"
              className="quiet"
              onClick={() => onChange({ licencePowerW: null })}
            >
              no note
            </button>
          )}
        </span>
        <span className="text-fine text-soft">{sentences.licenceReminder}</span>
      </span>
    </Labelled>
  );
}
