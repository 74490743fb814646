import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { CableType } from '../../api';
import { answered, api, useCableTypes } from '../../api';
import { Shell } from '../../app/Shell';
import { useAddress } from '../../app/useAddress';
import { useShortcuts } from '../../app/useShortcuts';
import { KeptFor, QuantityField, useNarrow } from '../../ui';
import { frequencyText, plain } from '../../units';
import { ConnectorsPanel } from './ConnectorsPanel';
import { CurvePane } from './CurvePane';
import { ImportPanel } from './ImportPanel';
import { isFound, sorted } from './table';
import type { Column } from './table';
import { TypeEditor } from './editor/TypeEditor';
import { TypeFacts } from './TypeFacts';
import { TypeTable } from './TypeTable';

/** No more curves than can be told apart by their dash. */
const MOST_OVERLAID = 6;

const USUAL_MHZ = 145;

/** Every type beside its curve; types of one's own are brought in here. */
export function CablesPage() {
  const types = useCableTypes();
  const { params, put, beginAnew } = useAddress();
  const [filter, setFilter] = useState('');
  const [order, setOrder] = useState<{ column: Column | null; isDown: boolean }>({
    column: null,
    isDown: false,
  });
  const field = useRef<HTMLInputElement>(null);
  const about = useRef<HTMLElement>(null);
  const narrow = useNarrow();
  useShortcuts(
    useMemo(
      () => ({
        '/': () => field.current?.focus(),
        n: () => beginAnew({ edit: 'new' }),
      }),
      [beginAnew],
    ),
  );

  const all = types.data ?? [];
  const atMHz = Number(params.get('at')) || USUAL_MHZ;
  const shownRetired = params.get('retired') !== null;
  const losses = useLosses(all, atMHz);
  const found = sorted(
    all.filter((t) => isFound(t, filter) && (shownRetired || !t.retired)),
    order.column,
    order.isDown,
    (key) => losses.get(key) ?? null,
  );
  const selected = all.find((t) => t.key === params.get('type')) ?? found[0];
  const over = (params.get('over') ?? '').split(' ').filter((k) => all.some((t) => t.key === k));
  const drawn = selected ? [selected.key, ...over.filter((k) => k !== selected.key)] : over;
  const edit = params.get('edit');
  const edited = all.find((t) => t.key === edit?.replace(/^copy /, '')) ?? null;
  const retired = all.filter((t) => t.retired).length;

  function overlay(key: string) {
    const next = over.includes(key) ? over.filter((k) => k !== key) : [...over, key];
    put({ over: next.slice(-MOST_OVERLAID + 1).join(' ') });
  }

  return (
    <Shell>
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="cable types"
          className="flex min-h-0 min-w-0 flex-col min-[900px]:w-[54%] min-[900px]:border-r min-[900px]:border-hairline"
        >
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline px-4 py-2">
            <h1 className="text-title font-bold">Cables</h1>
            <input
              ref={field}
              type="search"
              aria-label="filter cable types"
              placeholder="filter: name, 75 Ω, PE"
              className="boxed min-h-7 w-44"
              value={filter}
              onChange={(e) => setFilter(e.target.value)}
              onKeyDown={(e) => e.key === 'Escape' && setFilter('')}
            />
            <span className="inline-flex items-baseline gap-1 text-soft">
              loss at
              <QuantityField
                label="frequency of the loss"
                kind="frequency"
                unit="mhz"
                unitLabel="MHz"
                value={atMHz}
                show={(v) => plain(v, 4)}
                say={frequencyText}
                onCommit={(v) => put({ at: String(v) })}
              />
            </span>
            <button type="button" className="action ml-auto" onClick={() => put({ edit: 'new' })}>
              New cable
            </button>
          </div>
          {!types.data && (
            <p role="status" className="px-4 py-4">
              {types.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
          {types.data && (
            <TypeTable
              types={found}
              losses={losses}
              atMHz={atMHz}
              order={order}
              selected={selected?.key}
              over={over}
              onSelect={(key) => {
                put({ type: key, edit: null });
                if (narrow) about.current?.scrollIntoView();
              }}
              onOverlay={overlay}
              onOrder={(column) =>
                setOrder((o) => ({ column, isDown: o.column === column && !o.isDown }))
              }
            />
          )}
          {types.data && found.length === 0 && (
            <p className="px-4 py-3">
              No cable has “{filter}” in it.{' '}
              <button type="button" className="quiet" onClick={() => setFilter('')}>
                Show all
              </button>
            </p>
          )}
          <p className="flex flex-wrap gap-x-4 border-t border-hairline px-4 py-1 text-fine text-soft">
            <button type="button" className="quiet" onClick={() => put({ edit: 'connectors' })}>
              connectors and devices
            </button>
            <button type="button" className="quiet" onClick={() => put({ edit: 'import' })}>
              cables from a file
            </button>
            <Link className="quiet" to="/cables/anatomy">
              what a cable is made of
            </Link>
            <span>
              save {over.length > 0 ? 'those laid over' : 'all'} as{' '}
              <a className="quiet underline" href={exportOf('csv', over.length > 0 ? drawn : [])}>
                CSV
              </a>{' '}
              or{' '}
              <a className="quiet underline" href={exportOf('json', over.length > 0 ? drawn : [])}>
                JSON
              </a>
            </span>
          </p>
          {retired > 0 && (
            <p className="border-t border-hairline px-4 py-1 text-fine text-soft">
              {retired} retired {retired === 1 ? 'type' : 'types'}{' '}
              <button
                type="button"
                className="quiet"
                onClick={() => put({ retired: shownRetired ? null : 'shown' })}
              >
                {shownRetired ? 'hide' : 'show'}
              </button>
            </p>
          )}
        </section>
        <section
          ref={about}
          aria-label="about a cable"
          className="min-h-0 min-w-0 flex-1 overflow-y-auto px-4 py-3"
          tabIndex={0}
        >
          {edit === 'connectors' ? (
            <ConnectorsPanel onClose={() => put({ edit: null })} />
          ) : edit === 'import' ? (
            <ImportPanel onClose={() => put({ edit: null })} />
          ) : edit !== null ? (
            <KeptFor value="cables">
              <TypeEditor
                key={edit}
                types={all}
                type={edited}
                isCopy={edit.startsWith('copy ')}
                onDone={(key) => put({ edit: null, type: key })}
                onClose={() => put({ edit: null })}
              />
            </KeptFor>
          ) : (
            selected && (
              <>
                <CurvePane types={all.filter((t) => drawn.includes(t.key))} order={drawn} />
                <About type={selected} onEdit={(what) => put({ edit: what })} />
              </>
            )
          )}
        </section>
      </main>
    </Shell>
  );
}

function exportOf(form: 'csv' | 'json', keys: readonly string[]): string {
  const named = new URLSearchParams(keys.map((key) => ['keys', key]));
  return `/api/catalogue/export.${form}${keys.length > 0 ? `?${named}` : ''}`;
}

/** Loss per 100 m of every type at one frequency, from the core. */
function useLosses(types: readonly CableType[], atMHz: number): Map<string, number> {
  const keys = types.map((t) => t.key);
  const answer = useQuery({
    queryKey: ['curves', 'losses', keys, atMHz],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/cable-types/curves', {
          body: { keys: keys.slice(0, 64), frequenciesMHz: [atMHz] },
          signal,
        }),
      ),
    enabled: keys.length > 0,
    placeholderData: keepPreviousData,
  });
  return new Map(
    (answer.data?.curves ?? []).map((c) => [c.key, c.points[0]?.attenuationDbPer100m ?? 0]),
  );
}

function About({ type, onEdit }: { type: CableType; onEdit: (what: string) => void }) {
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
          {type.favourite ? 'no favourite any more' : 'make it a favourite'}
        </button>
        <button type="button" className="quiet" onClick={() => onEdit(`copy ${type.key}`)}>
          copy it
        </button>
        {!type.builtIn && (
          <>
            <button type="button" className="quiet" onClick={() => onEdit(type.key)}>
              change it
            </button>
            <button
              type="button"
              className="quiet"
              onClick={() => change.mutate(type.retired ? 'offer' : 'retire')}
            >
              {type.retired ? 'offer it again' : 'retire it'}
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
