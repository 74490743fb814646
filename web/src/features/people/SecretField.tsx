import { useState } from 'react';

/** A password, which can be looked at while it is typed. */
export function SecretField({
  label,
  value,
  autoComplete,
  onChange,
}: {
  label: string;
  value: string;
  autoComplete: 'current-password' | 'new-password';
  onChange: (value: string) => void;
}) {
  const [isShown, setShown] = useState(false);
  return (
    <label className="flex flex-col gap-1">
      <span className="text-soft">{label}</span>
      <span className="flex items-baseline gap-3">
        <input
          type={isShown ? 'text' : 'password'}
          aria-label={label}
          autoComplete={autoComplete}
          className="boxed min-h-9 min-w-0 flex-1"
          maxLength={1000}
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
        <button
          type="button"
          className="quiet"
          aria-pressed={isShown}
          onClick={() => setShown(!isShown)}
        >
          {isShown ? 'hide' : 'show'}
        </button>
      </span>
    </label>
  );
}
