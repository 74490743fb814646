import type { Settings } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { plain } from '../../units';
import { sentences, words } from '../../words';
import { Labelled } from './Labelled';
import { OneOf } from './OneOf';
import type { Change } from './OneOf';

/** How far cables may be off what is said of them. */
export function Tolerances({
  value,
  onChange,
}: {
  value: Settings['tolerances'];
  onChange: Change;
}) {
  const fields = [
    ['typicalPercent', 'TYPICAL'],
    ['sheetPercent', 'SHEET'],
    ['measuredPercent', 'MEASURED'],
    ['guessedPercent', 'GUESSED'],
  ] as const;
  return (
    <Labelled label="The loss of a cable may be off by">
      <span className="flex flex-col gap-1">
        {fields.map(([name, provenance]) => (
          <span key={name} className="flex items-baseline gap-2">
            <QuantityField
              label={`tolerance of figures ${words.provenance[provenance]}`}
              kind="percentOff"
              unit="%"
              unitLabel="%"
              value={value[name]}
              show={(v) => plain(v, 2)}
              say={(v) => `${plain(v, 2)} %`}
              onCommit={(percent) => onChange({ tolerances: { ...value, [name]: percent } })}
            />
            <span className="text-soft">where its figures are {words.provenance[provenance]}</span>
          </span>
        ))}
        <span className="text-fine text-soft">{sentences.luckIsMarginal}</span>
      </span>
    </Labelled>
  );
}

const USUAL_FLAT_LOSS_DB = 0.2;

/** Two schools: at HF a joint cannot be measured; or every joint is charged a flat couple of tenths. */
export function Joints({ value, onChange }: { value: number | null; onChange: Change }) {
  return (
    <div className="flex flex-col gap-1">
      <OneOf
        label="Each joint of a new plan loses"
        value={value === null ? 'typical' : 'flat'}
        options={[
          ['typical', 'what is typical of its connector'],
          ['flat', 'a flat figure'],
        ]}
        onPick={(chosen) =>
          onChange({ flatJointLossDb: chosen === 'flat' ? USUAL_FLAT_LOSS_DB : null })
        }
      />
      {value !== null && (
        <Labelled label="the flat figure">
          <QuantityField
            label="flat loss of a joint"
            kind="elementLoss"
            unit="db"
            unitLabel="dB"
            value={value}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} dB`}
            onCommit={(flatJointLossDb) => onChange({ flatJointLossDb })}
          />
        </Labelled>
      )}
    </div>
  );
}
