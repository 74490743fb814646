import { useState } from 'react';
import { Link } from 'react-router';
import { useHappenings } from '../../api';
import type { Happening } from '../../api';
import { Shell } from '../../app/Shell';
import { useAddress } from '../../app/useAddress';
import { LongListOf, Select, useTyped } from '../../ui';
import type { Placed } from '../../ui';
import { dateText, HAPPENING_WORDS, happeningDetail, timeText } from '../../words';
import { usePeople } from './usePeople';

const ALL = 'ALL';

const ROW_PX = 34;

/** Noted for a day, not for a time of it. */
const OF_A_DAY: readonly Happening['kind'][] = ['PIECE_TAKEN_OUT', 'PIECE_PUT_AWAY'];

const KINDS = Object.keys(HAPPENING_WORDS) as Happening['kind'][];

/** What happened in the workshop and who did it, to be filtered. */
export function HappeningsPage() {
  const { params, put } = useAddress();
  const [search, setSearch] = useState('');
  const people = usePeople().data ?? [];
  const person = people.find((p) => p.id === params.get('person'))?.id;
  const kind = KINDS.find((k) => k === params.get('kind'));
  const find = useTyped(search);
  const happened = useHappenings({ person, kind, find: find || undefined });
  return (
    <Shell here="What happened">
      <main data-scroller="" className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-3xl flex-col gap-4">
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
            <h1 className="text-title font-bold">What happened</h1>
            <input
              type="search"
              aria-label="filter what happened"
              placeholder="filter: plan, piece"
              className="boxed min-h-7 w-36"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
            />
            <Select
              label="by whom"
              value={person ?? ALL}
              options={[
                { value: ALL, text: 'by anybody' },
                ...people.map((p) => ({ value: p.id, text: p.name })),
              ]}
              onChange={(p) => put({ person: p === ALL ? null : p })}
            />
            <Select
              label="what was done"
              value={kind ?? ALL}
              options={[
                { value: ALL as string, text: 'everything' },
                ...KINDS.map((k) => ({ value: k as string, text: HAPPENING_WORDS[k].name })),
              ]}
              onChange={(k) => put({ kind: k === ALL ? null : k })}
            />
          </div>
          {!happened.items && (
            <p role="status">
              {happened.failureCount > 0
                ? 'The server does not answer; trying again.'
                : 'Opening …'}
            </p>
          )}
          {happened.items?.length === 0 && <p>Nothing is like that.</p>}
          <LongListOf
            label="what happened"
            items={happened.items ?? []}
            keyOf={(h) => h.id}
            rowPx={ROW_PX}
            more={happened.more}
          >
            {(h, placed) => <Row happening={h} placed={placed} />}
          </LongListOf>
        </div>
      </main>
    </Shell>
  );
}

function Row({ happening, placed }: { happening: Happening; placed: Placed }) {
  const detail = happeningDetail(happening);
  const to = placeOf(happening);
  return (
    <li
      {...placed}
      className="flex flex-wrap items-baseline gap-x-2 border-b border-hairline py-1.5"
    >
      <span className="figures w-[21ch] text-fine text-soft max-[899px]:w-[13ch]">
        {dateText(happening.at)}
        {!OF_A_DAY.includes(happening.kind) && (
          <span className="max-[899px]:hidden">, {timeText(happening.at)}</span>
        )}
      </span>
      {happening.person && <span className="font-semibold">{happening.person}</span>}
      <span>{HAPPENING_WORDS[happening.kind].did}</span>
      {to === null ? (
        <span className="min-w-0 truncate">{happening.subject}</span>
      ) : (
        <Link to={to} className="quiet min-w-0 truncate">
          {happening.subject || 'a cable'}
        </Link>
      )}
      {detail && <span className="min-w-0 truncate text-soft">{detail}</span>}
    </li>
  );
}

/** Where what it was done to is looked at; null where it is nowhere any more. */
function placeOf({ kind, subjectId, detail }: Happening): string | null {
  switch (kind) {
    case 'PLAN_SAVED':
    case 'CABLE_CHOSEN':
    case 'CHOICE_WITHDRAWN':
      return `/plans/${subjectId}`;
    case 'TEST_NOTED':
    case 'TEST_CORRECTED':
      return `/bench/${subjectId}`;
    case 'PIECE_TAKEN_OUT':
    case 'PIECE_PUT_AWAY':
    case 'PIECE_CHANGED':
      return `/locker/${subjectId}`;
    case 'CABLE_CHANGED':
      return `/cables?type=${detail}`;
    default:
      return null;
  }
}
