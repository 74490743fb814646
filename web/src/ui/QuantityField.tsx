import { useEffect, useId, useState } from 'react';
import type { QuantityKind } from '../units';
import { inUnit, OFFERED_UNITS, parseQuantity, plain, RANGES } from '../units';
import { useKept } from './kept';

interface Props {
  label: string;
  kind: QuantityKind;
  /** In the base unit of the kind. */
  value: number | undefined;
  /** Unit of a bare number. */
  unit: string;
  /** What is shown of a value while nobody edits it, without the unit. */
  show: (value: number) => string;
  /** The unit as shown beside the field. */
  unitLabel: string;
  /** How a value is written with its unit, for the echo and the range. */
  say: (value: number) => string;
  onCommit: (value: number) => void;
  /** Tells when the field begins and ceases to hold something that cannot be used. */
  onTrouble?: (message: string | null) => void;
  /** Least value of this field, where it asks for more than the interface does. */
  least?: number;
  /** Tells it from other fields of the same label, so that each keeps its own half-typed text. */
  keptAs?: string;
  /** What the arrow keys add, in the unit shown; with it the field is a spin button. */
  step?: { small: number; large: number };
  /** Where Enter leads, once what is typed can be used; the focus stays where it is without it. */
  onEnter?: () => void;
  autoFocus?: boolean;
  /** A unit that is not the one everything is shown in, and how everything comes to be shown in it. */
  otherUnit?: { typedAs: RegExp; offer: string; take: () => void } | undefined;
  /** What else may be typed here, and what is then done once the field is left; null for what it does not know. */
  alsoReads?: (text: string) => (() => void) | null;
  /** Whether Tab stops here; it does unless a list has one focus for all of it. */
  isStop?: boolean;
  className?: string;
  children?: React.ReactNode;
}

/** A text that could not be used, and the value that it was typed over. */
interface HalfTyped {
  text: string;
  over: number | null;
}

/**
 * A physical quantity that is typed. It keeps the typed text apart from the value: what can be used is committed while
 * typing, what cannot be used stays as typed with a message beside it, over a reload too, and a field that was not
 * edited commits nothing.
 */
export function QuantityField(props: Props) {
  const { label, kind, value, say, onCommit, onTrouble, onEnter } = props;
  const [taken, setTaken] = useState<{ unit: string; label: string } | null>(null);
  const unit = taken?.unit ?? props.unit;
  const show = taken ? (v: number) => plain(inUnit(v, kind, taken.unit), 6) : props.show;
  const id = useId();
  const kept = useKept<HalfTyped>(props.keptAs ?? label);
  const [typed, setTyped] = useState<string | null>(() => {
    const before = kept.read();
    return before?.over === (value ?? null) ? before.text : null;
  });
  const [committed, setCommitted] = useState(value);

  // a value that came from elsewhere (undo, another field) replaces what was typed
  if (value !== committed) {
    setCommitted(value);
    setTyped(null);
  }

  const message = typed === null ? null : messageOf(typed, unit, props);
  useEffect(() => {
    onTrouble?.(message);
    return () => onTrouble?.(null);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- tells about the message only
  }, [message]);

  useEffect(() => {
    if (typed !== null && message !== null) kept.keep({ text: typed, over: value ?? null });
    else kept.forget();
  }, [kept, typed, message, value]);

  function change(text: string) {
    setTyped(text);
    const parsed = parseQuantity(text, kind, unit);
    if (parsed.ok && messageOf(text, unit, props) === null && parsed.value !== value) {
      setCommitted(parsed.value);
      onCommit(parsed.value);
    }
  }

  /** A bare number that was typed is read in the next unit; a value that stands is shown in it. */
  function nextUnit() {
    const offered = OFFERED_UNITS[kind] ?? [];
    const next = offered[(offered.findIndex((o) => o.unit === unit) + 1) % offered.length];
    if (!next) return;
    setTaken(next);
    const parsed = typed === null ? null : parseQuantity(typed, kind, next.unit);
    if (parsed?.ok && messageOf(typed ?? '', next.unit, props) === null && parsed.value !== value) {
      setCommitted(parsed.value);
      onCommit(parsed.value);
    }
  }

  /** Arrow keys step to the next round number, so that 31.37 goes to 31.4. */
  function stepBy(e: React.KeyboardEvent) {
    const size = e.shiftKey ? props.step?.large : props.step?.small;
    const direction = { ArrowUp: 1, ArrowDown: -1 }[e.key];
    if (!size || !direction || value === undefined) return;
    e.preventDefault();
    const now = inUnit(value, kind, unit) / size;
    const whole = Math.round(now * 1e6) / 1e6;
    const next = direction > 0 ? Math.floor(whole) + 1 : Math.ceil(whole) - 1;
    const parsed = parseQuantity(plain(next * size, 6), kind, unit);
    if (!parsed.ok || messageOf(plain(next * size, 6), unit, props) !== null) return;
    setTyped(null);
    setCommitted(parsed.value);
    onCommit(parsed.value);
  }

  /** What was meant instead of what was understood. */
  function take(other: number) {
    setTyped(null);
    setCommitted(other);
    onCommit(other);
  }

  function leave() {
    if (typed !== null) props.alsoReads?.(typed)?.();
    if (message === null) setTyped(null);
  }

  const offers = typed !== null && message === null && props.otherUnit?.typedAs.test(typed);
  const text = typed ?? (value === undefined ? '' : show(value));
  const echo = typed === null || message !== null ? null : doubtOf(typed, kind, unit, say);
  return (
    <span className={`inline-flex flex-col ${props.className ?? ''}`}>
      <span className="inline-flex items-baseline gap-1">
        <input
          id={id}
          data-settled={typed === null}
          autoFocus={props.autoFocus}
          aria-label={label}
          aria-invalid={message !== null}
          aria-describedby={message || echo ? `${id}-said` : undefined}
          role={props.step ? 'spinbutton' : undefined}
          aria-valuenow={props.step ? value : undefined}
          aria-valuetext={props.step && value !== undefined ? say(value) : undefined}
          tabIndex={props.isStop === false ? -1 : undefined}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          className="in-place figures min-h-6 text-right"
          style={{ width: `${Math.max(3, text.length) + 1.5}ch` }}
          value={text}
          onChange={(e) => change(e.target.value)}
          onFocus={(e) => e.target.select()}
          onBlur={leave}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              leave();
              if (onEnter && message === null) onEnter();
              else e.currentTarget.select();
            }
            if (e.key === 'Escape') setTyped(null);
            stepBy(e);
          }}
        />
        {OFFERED_UNITS[kind] ? (
          <button
            type="button"
            aria-label={`unit of ${label}: ${taken?.label ?? props.unitLabel}`}
            tabIndex={props.isStop === false ? -1 : undefined}
            className="min-h-6 min-w-4 text-small text-soft hover:text-blue hover:underline"
            onMouseDown={(e) => e.preventDefault()} // the field keeps the focus, and what is typed in it
            onClick={nextUnit}
          >
            {taken?.label ?? props.unitLabel}
          </button>
        ) : (
          <span className="text-small text-soft">{props.unitLabel}</span>
        )}
        {props.children}
      </span>
      {(message || echo || offers) && (
        <span className="inline-flex max-w-60 flex-wrap items-baseline gap-x-2">
          <span
            id={`${id}-said`}
            role={message ? 'alert' : 'status'}
            className={`text-small leading-tight ${message ? 'text-fail' : 'text-soft'}`}
          >
            {message ?? echo?.text}
          </span>
          {offers && (
            <button
              type="button"
              className="quiet text-small"
              onMouseDown={(e) => e.preventDefault()} // the field keeps the focus
              onClick={props.otherUnit?.take}
            >
              {props.otherUnit?.offer}
            </button>
          )}
          {echo?.other !== undefined && (
            <button
              type="button"
              className="quiet text-small"
              onMouseDown={(e) => e.preventDefault()} // the field keeps the focus
              onClick={() => take(echo.other as number)}
            >
              {say(echo.other)} was meant
            </button>
          )}
        </span>
      )}
    </span>
  );
}

function messageOf(text: string, unit: string, props: Props): string | null {
  const { kind, say, least } = props;
  if (props.alsoReads?.(text)) return null;
  const parsed = parseQuantity(text, kind, unit);
  if (!parsed.ok) return parsed.message;
  const min = least ?? RANGES[kind].min;
  const { max } = RANGES[kind];
  return parsed.value >= min && parsed.value <= max
    ? null
    : `${say(parsed.value)} is out of range: from ${say(min)} to ${say(max)}.`;
}

/** What was understood, where the text could be meant otherwise. */
function doubtOf(
  text: string,
  kind: QuantityKind,
  unit: string,
  say: (value: number) => string,
): { text: string; other?: number } | null {
  const parsed = parseQuantity(text, kind, unit);
  return parsed.ok && parsed.doubt
    ? { text: `${say(parsed.value)}?`, ...(parsed.other !== undefined && { other: parsed.other }) }
    : null;
}
