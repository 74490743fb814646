import { Radio, RadioGroup } from '@headlessui/react';

/** One of a few, side by side; the arrow keys go from one to the next. */
export function Toggle<T extends string>({
  label,
  value,
  options,
  onChange,
  titles,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  /** More about each, for whoever points at it. */
  titles?: Record<T, string>;
}) {
  return (
    <RadioGroup
      value={value}
      onChange={onChange}
      aria-label={label}
      className="flex flex-wrap gap-x-4 gap-y-1"
    >
      {options.map(([option, text]) => (
        <Radio
          key={option}
          value={option}
          title={titles?.[option]}
          className="min-h-6 cursor-pointer border-b-2 border-transparent text-soft hover:text-ink data-checked:border-blue data-checked:font-semibold data-checked:text-ink"
        >
          {text}
        </Radio>
      ))}
    </RadioGroup>
  );
}
