import { useMemo, useRef, useState } from 'react';
import type { CableType } from '../../api';
import { useCableTypes } from '../../api';
import { Shell } from '../../app/Shell';
import { listOf, useAddress } from '../../app/useAddress';
import { useShortcuts } from '../../app/useShortcuts';
import { KeptFor, QuantityField, useNarrow } from '../../ui';
import { frequencyText, plain } from '../../units';
import { AboutType } from './AboutType';
import { CablesFoot } from './CablesFoot';
import { ConnectorsPanel } from './ConnectorsPanel';
import { CurvePane } from './CurvePane';
import { ImportPanel } from './ImportPanel';
import { isFound, sorted } from './table';
import type { Column } from './table';
import { TypeEditor } from './editor/TypeEditor';
import { TypeTable } from './TypeTable';
import { useLosses } from './useLosses';

/** No more curves than can be told apart by their dash. */
const MOST_OVERLAID = 6;

const USUAL_MHZ = 145;

/** Every type beside its curve; types of one's own are brought in here. */
export function CablesPage() {
  const types = useCableTypes();
  const { params, put, toggle, beginAnew } = useAddress();
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
  const over = listOf(params, 'over').filter((k) => all.some((t) => t.key === k));
  const drawn = selected ? [selected.key, ...over.filter((k) => k !== selected.key)] : over;
  const edit = params.get('edit');
  const retired = all.filter((t) => t.retired).length;

  const overlay = (key: string) => toggle('over', key, MOST_OVERLAID - 1);

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
          <CablesFoot saved={over.length > 0 ? drawn : []} onEdit={(what) => put({ edit: what })} />
          {retired > 0 && (
            <p className="border-t border-hairline px-4 py-1 text-fine text-soft">
              {retired} retired {retired === 1 ? 'type' : 'types'}{' '}
              <button
                type="button"
                className="quiet"
                onClick={() => put({ retired: shownRetired ? null : 'shown' })}
              >
                {shownRetired ? 'Hide' : 'Show'}
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
          {edit === null ? (
            selected && (
              <>
                <CurvePane types={all.filter((t) => drawn.includes(t.key))} order={drawn} />
                <AboutType type={selected} onEdit={(what) => put({ edit: what })} />
              </>
            )
          ) : (
            <Editing edit={edit} types={all} put={put} />
          )}
        </section>
      </main>
    </Shell>
  );
}

/** What is open in the place of the curves: connectors, a file, or the editor of a type. */
function Editing({
  edit,
  types,
  put,
}: {
  edit: string;
  types: CableType[];
  put: (changes: Record<string, string | null>) => void;
}) {
  const close = () => put({ edit: null });
  if (edit === 'connectors') return <ConnectorsPanel onClose={close} />;
  if (edit === 'import') return <ImportPanel onClose={close} />;
  return (
    <KeptFor value="cables">
      <TypeEditor
        key={edit}
        types={types}
        type={types.find((t) => t.key === edit.replace(/^copy /, '')) ?? null}
        isCopy={edit.startsWith('copy ')}
        onDone={(key) => put({ edit: null, type: key })}
        onClose={close}
      />
    </KeptFor>
  );
}
