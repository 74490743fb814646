import type { Settings, SettingsChange } from '../../app/preferences';
import { QuantityField, Select } from '../../ui';
import { plain } from '../../units';
import { Labelled } from './Labelled';
import { sentences } from '../../words';

const INTERVALS = [
  ['months', [3, 6, 12, 18, 24, 36], 'months'],
  ['outings', [5, 10, 20, 30, 50], 'outings'],
  ['hardOutings', [1, 3, 5, 10], 'outings on which it was wet, frozen or trodden on'],
] as const;

const LIMITS = [
  ['retirePercent', 'percentOver', '%', 1],
  ['retireAndDb', 'elementLoss', 'dB', 0],
  ['retireOrDb', 'elementLoss', 'dB', 0.01],
] as const;

/** When pieces of the locker are tested again, and when they have had their day. */
export function Upkeep({
  value,
  onChange,
}: {
  value: Settings['upkeep'];
  onChange: (change: SettingsChange) => void;
}) {
  const put = (change: Partial<Settings['upkeep']>) =>
    onChange({ upkeep: { ...value, ...change } });
  return (
    <>
      <Labelled label="A piece is tested again after">
        <span className="flex flex-col gap-1">
          {INTERVALS.map(([name, offered, text]) => (
            <label key={name} className="flex items-baseline gap-2">
              <Select
                label={`tested again after so many ${text}`}
                value={String(value[name])}
                options={[...new Set([...offered, value[name]])]
                  .sort((a, b) => a - b)
                  .map((n) => ({ value: String(n), text: String(n) }))}
                onChange={(n) => put({ [name]: Number(n) })}
              />
              <span className="text-soft">{text}</span>
            </label>
          ))}
          <span className="text-fine text-soft">{sentences.whicheverFirst}</span>
        </span>
      </Labelled>
      <Labelled label="It has had its day when it loses">
        <span className="flex flex-col gap-1">
          {LIMITS.map(([name, kind, unit, least]) => (
            <span key={name} className="flex items-baseline gap-2">
              {name === 'retireAndDb' && <span className="text-soft">and</span>}
              {name === 'retireOrDb' && <span className="text-soft">or</span>}
              <QuantityField
                label={`it has had its day: ${name}`}
                kind={kind === 'percentOver' ? 'budget' : kind}
                unit={kind === 'elementLoss' ? 'db' : ''}
                unitLabel={unit}
                least={least}
                value={value[name]}
                show={(v) => plain(v, 2)}
                say={(v) => `${plain(v, 2)} ${unit}`}
                onCommit={(v) => put({ [name]: v })}
              />
              <span className="text-soft">
                {name === 'retireOrDb' ? 'whatever the percent' : 'more than at its first test'}
              </span>
            </span>
          ))}
        </span>
      </Labelled>
    </>
  );
}
