import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';

/** One of a few, chosen in place. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = '',
}: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
  className?: string;
}) {
  const shown = options.find((o) => o.value === value)?.text ?? value;
  return (
    <Listbox value={value} onChange={onChange}>
      <ListboxButton
        aria-label={`${label}: ${shown}`}
        className={`in-place inline-flex min-h-6 items-center gap-1 text-left whitespace-nowrap ${className}`}
      >
        {shown}
        <svg viewBox="0 0 8 8" width="7" height="7" aria-hidden="true" className="text-soft">
          <path d="M1 2.5 4 6l3-3.5" fill="none" stroke="currentColor" strokeWidth="1.4" />
        </svg>
      </ListboxButton>
      <ListboxOptions
        anchor={{ to: 'bottom start', gap: 2 }}
        className="z-20 max-h-80 overflow-auto border border-ink bg-paper py-1 focus:outline-none"
      >
        {options.map((o) => (
          <ListboxOption
            key={o.value}
            value={o.value}
            className="min-h-6 px-3 py-0.5 data-focus:bg-blue data-focus:text-paper data-selected:font-semibold"
          >
            {o.text}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  );
}
