import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { CableType } from '../../api';
import { answered, api } from '../../api';
import { TypeFacts } from './TypeFacts';

/** One type and what can be done with it. */
export function AboutType({ type, onEdit }: { type: CableType; onEdit: (what: string) => void }) {
  const queries = useQueryClient();
  const path = { params: { path: { key: type.key } } };
  const change = useMutation({
    mutationFn: (what: 'favour' | 'unfavour' | 'retire' | 'offer') =>
      answered(
        what === 'favour'
          ? api.PUT('/api/cable-types/{key}/favourite', path)
          : what === 'unfavour'
            ? api.DELETE('/api/cable-types/{key}/favourite', path)
            : what === 'retire'
              ? api.POST('/api/cable-types/{key}/retirement', path)
              : api.DELETE('/api/cable-types/{key}/retirement', path),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['cable-types'] });
      void queries.invalidateQueries({ queryKey: ['comparison'] });
    },
  });
  return (
    <div className="border-t border-hairline pt-3">
      <div className="mb-2 flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-heading font-bold">{type.name}</h2>
        <button
          type="button"
          className="quiet"
          onClick={() => change.mutate(type.favourite ? 'unfavour' : 'favour')}
        >
          {type.favourite ? 'Remove from favourites' : 'Make it a favourite'}
        </button>
        <button type="button" className="quiet" onClick={() => onEdit(`copy ${type.key}`)}>
          Copy it
        </button>
        {!type.builtIn && (
          <>
            <button type="button" className="quiet" onClick={() => onEdit(type.key)}>
              Change it
            </button>
            <button
              type="button"
              className="quiet"
              onClick={() => change.mutate(type.retired ? 'offer' : 'retire')}
            >
              {type.retired ? 'Offer it again' : 'Retire it'}
            </button>
          </>
        )}
      </div>
      {change.isError && (
        <p role="alert" className="text-fail">
          Not done: {change.error.message}.
        </p>
      )}
      <TypeFacts type={type} />
    </div>
  );
}
