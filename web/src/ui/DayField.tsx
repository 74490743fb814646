/** A day of the calendar; empty text for none. */
export function DayField({
  label,
  value,
  onChange,
  className = 'boxed',
}: {
  label: string;
  value: string;
  onChange: (day: string) => void;
  className?: string;
}) {
  return (
    <input
      type="date"
      aria-label={label}
      className={className}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
