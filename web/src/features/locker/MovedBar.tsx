import { useMemo } from 'react';
import { useShortcuts } from '../../app/useShortcuts';
import { TextField } from '../../ui';
import type { useMoving } from './useMoving';

const BORE = [
  ['wet', 'wet', 'w'],
  ['frozen', 'frozen', 'f'],
  ['trodden', 'trodden on', 't'],
] as const;

/** What was just taken out or put away: where to, or what it bore, and a way back. */
export function MovedBar({ moving }: { moving: ReturnType<typeof useMoving> }) {
  const { moved, amend, takeBack, done } = moving;
  const movement = moved?.movement;
  const isAway = movement?.kind === 'PUT_AWAY';
  useShortcuts(
    useMemo(
      () =>
        movement === undefined
          ? NO_KEYS
          : {
              ...(isAway &&
                Object.fromEntries(
                  BORE.map(([f, , key]) => [key, () => amend({ [f]: !movement[f] })]),
                )),
              'Ctrl+Z': takeBack,
              Escape: done,
            },
      [movement, isAway, amend, takeBack, done],
    ),
  );
  if (moving.trouble) {
    return (
      <p role="alert" className="border-b border-fail px-4 py-1.5 text-fail">
        {moving.trouble.message}.
      </p>
    );
  }
  if (!moved || !movement) return null;
  return (
    <div
      role="status"
      className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline bg-raised px-4 py-1.5"
    >
      <span>
        {isAway ? 'Put away' : 'Took out'}{' '}
        <span className="font-semibold">{named(moved.labels)}</span>.
      </span>
      {isAway ? (
        <span className="flex flex-wrap items-baseline gap-x-4">
          <span className="text-soft">Was it</span>
          {BORE.map(([field, text, key]) => (
            <button
              key={field}
              type="button"
              aria-pressed={movement[field] === true}
              className={`quiet ${movement[field] ? 'font-semibold underline' : ''}`}
              onClick={() => amend({ [field]: !movement[field] })}
            >
              {text} <span className="text-soft">({key})</span>
            </button>
          ))}
        </span>
      ) : (
        <label className="inline-flex items-baseline gap-1 text-soft">
          to
          <TextField
            label="where it is taken"
            placeholder="a place, if you like"
            mayBeEmpty
            className="w-[24ch]"
            value={movement.to ?? ''}
            onCommit={(to) => amend({ to: to.trim() || undefined })}
          />
        </label>
      )}
      <span className="ml-auto flex gap-4">
        <button type="button" className="quiet" onClick={takeBack}>
          Undo
        </button>
        <button type="button" className="quiet" onClick={done}>
          Close
        </button>
      </span>
    </div>
  );
}

const NO_KEYS = {};

const MOST_NAMED = 4;

function named(labels: readonly string[]): string {
  return labels.length <= MOST_NAMED
    ? labels.join(', ')
    : `${labels.slice(0, MOST_NAMED - 1).join(', ')} and ${labels.length - MOST_NAMED + 1} more`;
}
