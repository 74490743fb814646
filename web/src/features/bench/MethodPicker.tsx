import type { Method } from './notes';
import { METHODS } from './notes';
import { METHOD_WORDS } from '../../words';

/** The ways to measure, each with what it takes. */
export function MethodPicker({
  value,
  onChange,
}: {
  value: Method;
  onChange: (method: Method) => void;
}) {
  return (
    <div role="radiogroup" aria-label="way of measuring" className="flex flex-wrap gap-x-5 gap-y-1">
      {METHODS.map((method) => (
        <button
          key={method}
          type="button"
          role="radio"
          aria-checked={value === method}
          title={METHOD_WORDS[method].what}
          className={`min-h-7 border-b-2 ${value === method ? 'border-blue font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
          onClick={() => onChange(method)}
        >
          {METHOD_WORDS[method].name}
        </button>
      ))}
    </div>
  );
}
