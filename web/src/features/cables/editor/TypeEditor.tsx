import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { CableType } from '../../../api';
import { useOwnPrices } from '../../prices';
import { answered, api } from '../../../api';
import { plain } from '../../../units';
import { namesakeOfOtherImpedance, NUMBERS, requestOf } from './draft';
import type { NumberName } from './draft';
import { Identity } from './Identity';
import { MoreFacts } from './MoreFacts';
import { PlansMoved } from './PlansMoved';
import { SheetPane } from './SheetPane';
import { useDraft } from './useDraft';
import { useSheetText } from './useSheetText';

/** A type of the operator's own: what its sheet says, read as it is pasted, and stored only when it is asked for. */
export function TypeEditor({
  types,
  type,
  isCopy,
  onDone,
  onClose,
}: {
  types: readonly CableType[];
  /** The type that is changed or copied; null for a new one. */
  type: CableType | null;
  isCopy: boolean;
  onDone: (key: string) => void;
  onClose: () => void;
}) {
  const queries = useQueryClient();
  const editing = useDraft(type, isCopy);
  const { draft, tried, troubles } = editing;
  const sheet = useSheetText(draft);
  const namesake = namesakeOfOtherImpedance(draft, types);
  const changed = isCopy ? null : type;
  const wrong = Object.keys(troubles);

  const prices = useOwnPrices();
  const store = useMutation({
    mutationFn: () =>
      changed
        ? answered(
            api.PUT('/api/cable-types/{key}', {
              params: { path: { key: changed.key } },
              body: requestOf(draft, sheet.points, changed.revision),
            }),
          )
        : answered(
            api.POST('/api/cable-types', { body: requestOf(draft, sheet.points, undefined) }),
          ),
    onSuccess: (stored) => {
      editing.forget();
      prices.drop('CABLE', stored.key);
      void queries.invalidateQueries({ queryKey: ['cable-types'] });
      void queries.invalidateQueries({ queryKey: ['comparison'] });
      void queries.invalidateQueries({ queryKey: ['curves'] });
      onDone(stored.key);
    },
  });

  return (
    <form
      aria-label={changed ? `change ${changed.name}` : 'a cable of my own'}
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        editing.try();
        if (wrong.length === 0 && sheet.isReady) store.mutate();
      }}
    >
      <h2 className="text-heading font-bold">
        {changed ? `Change ${changed.name}` : 'A cable of my own'}
      </h2>
      <Identity editing={editing} />
      {namesake && (
        <p className="text-marginal">
          {namesake.name} is of {plain(namesake.impedanceOhm, 1)} Ω. Is this one really of{' '}
          {draft.numbers.impedanceOhm} Ω?
        </p>
      )}
      <SheetPane editing={editing} sheet={sheet} />
      <MoreFacts editing={editing} />
      {changed && sheet.isReady && (
        <PlansMoved type={changed} draft={draft} points={sheet.points} />
      )}
      {store.isError && (
        <p role="alert" className="text-fail">
          Not stored: {store.error.message}.
        </p>
      )}
      {tried && wrong.length > 0 && (
        <p role="alert" className="text-fail">
          Not stored yet: look at {wrong.map(labelOf).join(', ')}.
        </p>
      )}
      <span className="flex items-baseline gap-4">
        <button type="submit" className="action" disabled={store.isPending || !sheet.isReady}>
          {changed ? 'Store the change' : 'Store the cable'}
        </button>
        <button
          type="button"
          className="quiet"
          onClick={() => {
            editing.forget();
            onClose();
          }}
        >
          Cancel
        </button>
      </span>
    </form>
  );
}

function labelOf(name: string): string {
  return name === 'name' ? 'name' : NUMBERS[name as NumberName].label;
}
