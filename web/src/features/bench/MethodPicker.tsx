import { Toggle } from '../../ui';
import { METHOD_WORDS } from '../../words';
import type { Method } from './notes';
import { METHODS } from './notes';

/** The ways to measure, each with what it takes. */
export function MethodPicker({
  value,
  onChange,
}: {
  value: Method;
  onChange: (method: Method) => void;
}) {
  return (
    <Toggle
      label="way of measuring"
      value={value}
      options={METHODS.map((method) => [method, METHOD_WORDS[method].name])}
      titles={TAKES}
      onChange={onChange}
    />
  );
}

const TAKES = Object.fromEntries(
  METHODS.map((method) => [method, METHOD_WORDS[method].what]),
) as Record<Method, string>;
