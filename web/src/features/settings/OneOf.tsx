import { Radio, RadioGroup } from '@headlessui/react';
import type { SettingsChange } from '../../app/preferences';

export type Change = (change: SettingsChange) => void;

type Option = string | number | boolean;

/** One of a few that is stored as it is picked. */
export function Setting<T extends Option>({
  name,
  onChange,
  ...rest
}: {
  label: string;
  name: keyof SettingsChange;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: Change;
}) {
  return <OneOf {...rest} onPick={(chosen) => onChange({ [name]: chosen })} />;
}

/** One of a few, all of them in sight. */
export function OneOf<T extends Option>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onPick: (chosen: T) => void;
}) {
  return (
    <RadioGroup
      value={value}
      onChange={onPick}
      aria-label={label}
      className="grid items-baseline gap-x-4 gap-y-1 border-b border-hairline pb-4 min-[600px]:grid-cols-[240px_1fr]"
    >
      <span className="text-soft">{label}</span>
      <span className="flex flex-wrap gap-x-1 gap-y-1">
        {options.map(([option, text]) => (
          <Radio
            key={String(option)}
            value={option}
            className="min-h-6 cursor-pointer border border-control px-2.5 py-1 data-checked:border-ink data-checked:bg-ink data-checked:text-paper"
          >
            {text}
          </Radio>
        ))}
      </span>
    </RadioGroup>
  );
}
