/** One of two or three, side by side. */
export function Toggle<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) {
  return (
    <span role="group" aria-label={label} className="flex gap-3">
      {options.map(([option, text]) => (
        <button
          key={option}
          type="button"
          aria-pressed={option === value}
          className={`min-h-6 border-b-2 ${option === value ? 'border-blue font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
          onClick={() => onChange(option)}
        >
          {text}
        </button>
      ))}
    </span>
  );
}
