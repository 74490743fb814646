import { useState } from 'react';

/** A short text edited in place; it is never left empty unless that is allowed. */
export function TextField({
  label,
  value,
  onCommit,
  placeholder,
  mayBeEmpty = false,
  className = '',
}: {
  label: string;
  value: string;
  onCommit: (value: string) => void;
  placeholder?: string;
  mayBeEmpty?: boolean;
  className?: string;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const empty = typed !== null && typed.trim() === '' && !mayBeEmpty;

  return (
    <input
      data-settled={typed === null}
      aria-label={label}
      aria-invalid={empty}
      title={empty ? 'It needs a name.' : undefined}
      placeholder={placeholder}
      maxLength={120}
      autoComplete="off"
      spellCheck={false}
      className={`in-place min-h-6 min-w-0 text-ellipsis ${className}`}
      value={typed ?? value}
      onChange={(e) => {
        setTyped(e.target.value);
        if (mayBeEmpty || e.target.value.trim() !== '') onCommit(e.target.value);
      }}
      onBlur={() => setTyped(null)}
      onKeyDown={(e) => {
        // the focus stays where it is; what is shown settles
        if (e.key === 'Enter') setTyped(null);
      }}
    />
  );
}
