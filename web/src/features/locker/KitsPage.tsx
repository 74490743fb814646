import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Kit, Piece, Schemas } from '../../api';
import { answered, api, useConnectors, useKitLosses, useKits, usePieces } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useAddress } from '../../app/useAddress';
import { QuantityField, TextField } from '../../ui';
import { frequencyText, lengthText, plain } from '../../units';
import { capital, endText } from '../../words';
import { drawnLengthM, KitDrawing } from './KitDrawing';
import { LengthSetsPanel } from './LengthSetsPanel';
import { LockerLinks } from './LockerLinks';
import { MovedBar } from './MovedBar';
import type { Movable } from './useMoving';
import { useMoving } from './useMoving';

/** Where the losses are read when nobody says otherwise. */
const USUAL_MHZ = 145;

/** Kits: what goes into the bag, taken out and put away as a whole; and which lengths would serve several sites. */
export function KitsPage() {
  const kits = useKits();
  const { settings } = usePreferences();
  const { params, put } = useAddress();
  const moving = useMoving();
  const packing = params.get('pack');
  const shown = (kits.data ?? []).filter((k) => !(k.demo && settings.demoHidden));
  const longestM = Math.max(1, ...shown.map((k) => drawnLengthM(k)));
  const atMHz = Number(params.get('atMHz')) || USUAL_MHZ;
  const losses = useKitLosses(atMHz).data ?? [];
  return (
    <Shell here="Kits">
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="packed"
          className="flex min-h-0 min-w-0 flex-1 flex-col min-[900px]:border-r min-[900px]:border-hairline"
        >
          <div className="flex flex-wrap items-baseline gap-x-4 border-b border-hairline px-4 py-2">
            <h1 className="text-title font-bold">Kits</h1>
            <LockerLinks here="kits" />
            {shown.length > 0 && (
              <span className="inline-flex items-baseline gap-x-2 text-soft">
                losses at
                <QuantityField
                  label="frequency of the losses"
                  kind="frequency"
                  unit="mhz"
                  unitLabel="MHz"
                  value={atMHz}
                  show={(v) => plain(v, 4)}
                  say={frequencyText}
                  onCommit={(mhz) => put({ atMHz: mhz === USUAL_MHZ ? null : String(mhz) })}
                />
              </span>
            )}
          </div>
          <MovedBar moving={moving} />
          {packing && (
            <Pack key={packing} pieces={packing.split(' ')} onDone={() => put({ pack: null })} />
          )}
          {kits.data && shown.length === 0 && !packing && (
            <p className="px-4 py-4">
              No kit is packed yet. Mark pieces in the{' '}
              <Link className="quiet" to="/locker">
                locker
              </Link>{' '}
              and make one of them; or let a plan’s ledger find the best of what you have.
            </p>
          )}
          <ul aria-label="kits" className="min-h-0 flex-1 overflow-y-auto">
            {shown.map((k) => (
              <KitRow
                key={k.id}
                kit={k}
                moving={moving}
                longestM={longestM}
                lossDb={losses.find((l) => l.kitId === k.id)?.lossDb ?? null}
              />
            ))}
          </ul>
        </section>
        <LengthSetsPanel />
      </main>
    </Shell>
  );
}

function KitRow({
  kit,
  moving,
  longestM,
  lossDb,
}: {
  kit: Kit;
  moving: ReturnType<typeof useMoving>;
  /** Length of the longest kit: all are drawn at one scale. */
  longestM: number;
  lossDb: number | null;
}) {
  const { lengths } = usePreferences();
  const connectors = useConnectors().data ?? [];
  const nameOf = (key: string) => connectors.find((c) => c.key === key)?.name ?? key;
  const queries = useQueryClient();
  const refresh = () => void queries.invalidateQueries({ queryKey: ['locker'] });
  const [gone, setGone] = useState(false);
  const remove = useMutation({
    mutationFn: () =>
      answered(api.DELETE('/api/locker/kits/{id}', { params: { path: { id: kit.id } } })),
    onSuccess: () => setGone(true),
  });
  const restore = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/locker/kits/{id}/restore', { params: { path: { id: kit.id } } })),
    onSuccess: () => {
      setGone(false);
      refresh();
    },
  });
  if (gone) {
    return (
      <li className="border-b border-hairline px-4 py-2 text-soft">
        {kit.name} is unpacked.{' '}
        <button type="button" className="quiet" onClick={() => restore.mutate()}>
          Undo
        </button>
      </li>
    );
  }
  return (
    <li className="flex flex-col gap-1 border-b border-hairline px-4 py-2">
      <span className="flex flex-wrap items-baseline gap-x-4">
        <span className="font-semibold">{kit.name}</span>
        <span className="text-soft">
          {lengthText(kit.lengthM, lengths)} in a row
          {kit.isOut && ', out'}
        </span>
        <span className="ml-auto flex gap-x-4">
          <button
            type="button"
            className="quiet"
            onClick={() => moving.go(kit.isOut ? 'PUT_AWAY' : 'TOOK_OUT', packedIn(kit))}
          >
            {kit.isOut ? 'Put it away' : 'Take it out'}
          </button>
          <button type="button" className="quiet" onClick={() => remove.mutate()}>
            Unpack it
          </button>
        </span>
      </span>
      <KitDrawing kit={kit} longestM={longestM} lossDb={lossDb} />
      <ul aria-label={`what to pack for ${kit.name}`} className="text-body">
        {kit.pieces.map((p) => (
          <li key={p.pieceId}>
            <span aria-hidden="true" className="mr-2 inline-block h-3 w-3 border border-control" />
            <Link to={`/locker/${p.pieceId}`} className="hover:text-blue hover:underline">
              {p.label}
            </Link>
            <span className="text-soft">
              , {lengthText(p.lengthM, lengths)}
              {p.turned && ', turned round'}
              {p.spare && ', spare'}
            </span>
          </li>
        ))}
        {kit.adapters.map((a, i) => (
          <li key={i}>
            <span aria-hidden="true" className="mr-2 inline-block h-3 w-3 border border-control" />
            adapter{' '}
            <span className="text-soft">
              {endText(a.near, nameOf)} to {endText(a.far, nameOf)}
            </span>
          </li>
        ))}
      </ul>
      {kit.note && <p className="text-fine text-soft">{kit.note}</p>}
      {kit.trouble.length > 0 && (
        <p className="text-fine text-marginal">{capital(kit.trouble.join('; '))}.</p>
      )}
    </li>
  );
}

function packedIn(kit: Kit): Movable[] {
  return kit.pieces.map((p) => ({ ...p, id: p.pieceId }));
}

/** More of them are not named one by one. */
const MOST_NAMED = 20;

type Said = Schemas['KitRequest'];

function namesOf(pieces: readonly string[], known: readonly Piece[]): string {
  const names = pieces
    .slice(0, MOST_NAMED)
    .map((id) => known.find((p) => p.id === id)?.label ?? 'a piece');
  const more = pieces.length - names.length;
  return names.join(', ') + (more > 0 ? ` and ${more} more` : '');
}

/** A kit of pieces that were marked: it needs a name. */
function Pack({ pieces, onDone }: { pieces: readonly string[]; onDone: () => void }) {
  const known = usePieces({ ids: pieces.slice(0, MOST_NAMED) }).data?.items ?? [];
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const body = useMemo<Said>(
    () => ({
      id: crypto.randomUUID(),
      name: '',
      pieces: pieces.map((pieceId) => ({ pieceId })),
      adapters: [],
    }),
    [pieces],
  );
  const store = useMutation({
    mutationFn: () => answered(api.POST('/api/locker/kits', { body: { ...body, name } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['locker'] });
      onDone();
    },
  });
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline bg-raised px-4 py-2">
      <span className="text-soft">A kit of {namesOf(pieces, known)}, named</span>
      <TextField
        label="name of the kit"
        placeholder="what the bag is called"
        value={name}
        onCommit={setName}
        className="w-[22ch]"
      />
      <button
        type="button"
        className="action"
        disabled={name.trim() === '' || store.isPending}
        onClick={() => store.mutate()}
      >
        Pack it
      </button>
      <button type="button" className="quiet" onClick={onDone}>
        Cancel
      </button>
      {store.isError && (
        <p role="alert" className="text-fail">
          {capital(store.error.message)}.
        </p>
      )}
    </div>
  );
}
