import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Piece, PieceSearch } from '../../api';
import { useLockerOverview, usePieceList } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Shell } from '../../app/Shell';
import { useAddress } from '../../app/useAddress';
import { useShortcuts } from '../../app/useShortcuts';
import { LongListOf, useTyped } from '../../ui';
import { GoneBar } from './GoneBar';
import { LockerLinks } from './LockerLinks';
import { MovedBar } from './MovedBar';
import { NewPiece } from './NewPiece';
import { Overview } from './Overview';
import { PieceRow } from './PieceRow';
import { useMoving } from './useMoving';

const ROW_PX = 52;

const STANDINGS = ['FAILING', 'DUE', 'FINE', 'RETIRED', 'OUT'] as const;

/** What I own: every piece drawn to one scale, what needs a hand first; taken out and put away with one key. */
export function LockerPage() {
  const { settings } = usePreferences();
  const navigate = useNavigate();
  const { params, put } = useAddress();
  const moving = useMoving();
  const [search, setSearch] = useState('');
  const [marked, setMarked] = useState<ReadonlyMap<string, Piece>>(new Map());
  const field = useRef<HTMLInputElement>(null);
  const demo = settings.demoHidden ? false : undefined;
  const standing = STANDINGS.find((s) => s === params.get('standing')) ?? null;
  const find = useTyped(search);
  const asked: PieceSearch = {
    order: 'URGENCY',
    demo,
    find: find || undefined,
    standing: standing ?? undefined,
  };
  const list = usePieceList(asked);
  const overview = useLockerOverview(settings.demoHidden).data;
  const gone = params.get('gone');
  const found = list.items ?? [];
  const those = (): Piece[] => {
    const inFocus = document.activeElement?.closest('[data-piece]')?.getAttribute('data-piece');
    if (marked.size === 0) return found.filter((p) => p.id === inFocus);
    // as they stand in the list, and after them what the list does not show any more
    const unseen = [...marked.values()].filter((m) => found.every((p) => p.id !== m.id));
    return [...found.filter((p) => marked.has(p.id)), ...unseen];
  };
  const go = (kind: 'TOOK_OUT' | 'PUT_AWAY') => {
    moving.go(kind, those());
    setMarked(new Map());
  };
  useShortcuts({
    n: () => put({ new: 'piece' }),
    '/': () => field.current?.focus(),
    o: () => go('TOOK_OUT'),
    p: () => go('PUT_AWAY'),
    ArrowDown: () => walk(1),
    ArrowUp: () => walk(-1),
  });
  const toggle = (piece: Piece) =>
    setMarked((before) => {
      const after = new Map(before);
      if (!after.delete(piece.id)) after.set(piece.id, piece);
      return after;
    });

  return (
    <Shell>
      <main className="flex min-h-0 flex-1 flex-col min-[900px]:flex-row">
        <section
          aria-label="locker"
          className="flex min-h-0 min-w-0 flex-1 flex-col min-[900px]:border-r min-[900px]:border-hairline"
        >
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline px-4 py-2">
            <h1 className="text-title font-bold">Locker</h1>
            <input
              ref={field}
              type="search"
              aria-label="filter pieces"
              placeholder="filter: label, type, place"
              className="boxed min-h-7 w-48"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
              onKeyDown={(e) => e.key === 'Escape' && setSearch('')}
            />
            <LockerLinks here="pieces" />
            <button type="button" className="action ml-auto" onClick={() => put({ new: 'piece' })}>
              New piece
            </button>
          </div>
          {marked.size > 0 && (
            <MarkedBar
              marked={[...marked.keys()]}
              onMove={go}
              onNone={() => setMarked(new Map())}
            />
          )}
          <MovedBar moving={moving} />
          {gone && <GoneBar id={gone} onDone={() => put({ gone: null })} />}
          {params.get('new') === 'piece' && (
            <NewPiece
              onClose={() => put({ new: null })}
              onKept={(id) => void navigate(`/locker/${id}`)}
            />
          )}
          {!list.items && (
            <p role="status" className="px-4 py-4">
              {list.failureCount > 0 ? 'The server does not answer; trying again.' : 'Opening …'}
            </p>
          )}
          {overview?.pieces === 0 && (
            <p className="px-4 py-4">
              The locker is empty. Put in what you own, a label and a length are enough:{' '}
              <button type="button" className="quiet" onClick={() => put({ new: 'piece' })}>
                Put the first piece in
              </button>
              .
            </p>
          )}
          {overview && overview.pieces > 0 && list.items?.length === 0 && (
            <p className="px-4 py-4">
              No piece is like that.{' '}
              <button
                type="button"
                className="quiet"
                onClick={() => {
                  setSearch('');
                  put({ standing: null });
                }}
              >
                Show all
              </button>
            </p>
          )}
          <LongListOf
            label="pieces"
            items={found}
            keyOf={(p) => p.id}
            rowPx={ROW_PX}
            more={list.more}
            scrolls
          >
            {(p, placed) => (
              <PieceRow
                placed={placed}
                piece={p}
                longestM={overview?.longestM ?? p.lengthM}
                isMarked={marked.has(p.id)}
                onMark={() => toggle(p)}
                onMove={() => moving.go(p.outSince === null ? 'TOOK_OUT' : 'PUT_AWAY', [p])}
              />
            )}
          </LongListOf>
          {found.length > 0 && <LockerFoot count={list.total} />}
        </section>
        {overview && overview.pieces > 0 && (
          <Overview
            counts={overview}
            demo={demo}
            standing={standing}
            onStanding={(to) => put({ standing: to ?? null })}
          />
        )}
      </main>
    </Shell>
  );
}

/** What can be done with all pieces that are marked. */
function MarkedBar({
  marked,
  onMove,
  onNone,
}: {
  marked: readonly string[];
  onMove: (kind: 'TOOK_OUT' | 'PUT_AWAY') => void;
  onNone: () => void;
}) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline bg-raised px-4 py-1.5">
      <span>
        {marked.length} {marked.length === 1 ? 'piece' : 'pieces'} marked
      </span>
      <button type="button" className="quiet" onClick={() => onMove('TOOK_OUT')}>
        Take out <span className="text-soft">(o)</span>
      </button>
      <button type="button" className="quiet" onClick={() => onMove('PUT_AWAY')}>
        Put away <span className="text-soft">(p)</span>
      </button>
      <Link className="quiet" to={`/locker/kits?pack=${marked.join(' ')}`}>
        make a kit of them
      </Link>
      <Link className="quiet" to={`/locker/labels?pieces=${marked.join(' ')}`}>
        print labels
      </Link>
      <button type="button" className="quiet ml-auto" onClick={onNone}>
        none
      </button>
    </div>
  );
}

function LockerFoot({ count }: { count: number }) {
  return (
    <p className="flex flex-wrap gap-x-4 border-t border-hairline px-4 py-1 text-fine text-soft">
      <span>
        {count} {count === 1 ? 'piece' : 'pieces'}, drawn to one scale
      </span>
      <a className="quiet underline" href="/api/locker/pieces.csv">
        CSV
      </a>
      <a className="quiet underline" href="/api/locker/due.ics">
        days of testing for a calendar
      </a>
    </p>
  );
}

/** To the piece below or above the one in focus. */
function walk(step: number) {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-piece]')];
  const here = rows.findIndex((r) => r.contains(document.activeElement));
  rows[Math.max(0, Math.min(rows.length - 1, here + step))]?.querySelector('a')?.focus();
}
