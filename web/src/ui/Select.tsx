/** One of many, chosen from the browser's own list; for use inside what opens, and for long lists. */
export function Select<T extends string>({
  label,
  value,
  options,
  onChange,
  placeholder = 'choose …',
  className = '',
}: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
  placeholder?: string;
  className?: string;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      className={`in-place min-h-6 min-w-0 max-w-full ${className}`}
      onChange={(e) => onChange(e.target.value as T)}
    >
      {options.every((o) => o.value !== value) && <option value={value}>{placeholder}</option>}
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {o.text}
        </option>
      ))}
    </select>
  );
}
