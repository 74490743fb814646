import { useState } from 'react';
import { useDevices, usePieces } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { OpensInPlace, useTyped } from '../../../ui';
import { branchAt } from '../document/branches';
import type { Element } from '../document/model';
import { runOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { notKnown, offersFor } from './readElement';

/** As many as anybody goes through; more is found by typing. */
const MOST_OFFERED = 100;

interface Props {
  /** Where in the run the new element will stand. */
  at: number;
  label: string;
  className: string;
  text: React.ReactNode;
  isStop: boolean;
}

/** A gap of the run, into which something is put by typing or picking. */
export function AddHere(props: Props) {
  return (
    <OpensInPlace
      label={props.label}
      text={props.text}
      className={props.className}
      width={260}
      button={{ tabIndex: props.isStop ? 0 : -1 }}
    >
      {(close) => <Offers at={props.at} close={close} />}
    </OpensInPlace>
  );
}

function Offers({ at, close }: { at: number; close: () => void }) {
  const { plan, band, catalogue, connectors, command } = useSheet();
  const { lengths } = usePreferences();
  const [typed, setTyped] = useState('');
  const [marked, setMarked] = useState(0);
  const first = usePieces().data;
  const isLong = first !== undefined && first.total > first.items.length;
  const find = useTyped(typed);
  const found = usePieces(isLong && find !== '' ? { find } : null).data;
  const pieces = (isLong && find !== '' ? found?.items : first?.items) ?? [];
  const devices = useDevices().data ?? [];
  const meant = offersFor(typed, catalogue, connectors, lengths, pieces, devices);
  const offers = meant.slice(0, MOST_OFFERED);

  function take(index: number) {
    const offer = offers[index];
    if (!offer) return;
    const element = offer.element();
    if (element.kind === 'FORK') {
      command({ do: 'fork', at, fork: element });
    } else {
      const branch = branchAt(runOf(plan), at, band);
      command({
        do: 'addElements',
        at,
        elements: Array.from({ length: offer.count ?? 1 }, () => inBranch(offer.element(), branch)),
      });
    }
    close();
  }

  return (
    <>
      <input
        role="combobox"
        aria-label="what to put here"
        aria-expanded="true"
        aria-controls="offers"
        aria-activedescendant={offers.length > 0 ? `offer-${marked}` : undefined}
        autoComplete="off"
        placeholder="2 m RG-58, N barrel, arrestor, 4:1 …"
        className="boxed"
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          setMarked(0);
        }}
        onKeyDown={(e) => {
          const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
          if (step) {
            e.preventDefault();
            setMarked(Math.max(0, Math.min(offers.length - 1, marked + step)));
          }
          if (e.key === 'Enter') {
            // the key must not press the button that gets the focus
            e.preventDefault();
            take(marked);
          }
        }}
      />
      <ul
        id="offers"
        role="listbox"
        aria-label="what may be meant"
        className="max-h-60 overflow-y-auto"
      >
        {offers.map((offer, i) => (
          <li
            key={`${offer.kind} ${offer.text}`}
            id={`offer-${i}`}
            role="option"
            aria-selected={i === marked}
            className={`flex min-h-6 cursor-pointer justify-between px-2 py-0.5 max-[899px]:min-h-11 ${i === marked ? 'bg-blue text-paper' : ''}`}
            onMouseEnter={() => setMarked(i)}
            onClick={() => take(i)}
          >
            {offer.text}
            <span className={i === marked ? '' : 'text-soft'}>{offer.kind}</span>
          </li>
        ))}
      </ul>
      {meant.length > offers.length && (
        <p className="px-2 py-0.5 text-fine text-soft">
          And {meant.length - offers.length} more: type on.
        </p>
      )}
      {offers.length === 0 && (
        <p role="alert" className="text-fail">
          {notKnown(typed, offersFor('', catalogue, connectors, lengths))}
        </p>
      )}
    </>
  );
}

function inBranch(element: Element, branch: string | undefined): Element {
  return branch === undefined || element.kind === 'FORK' ? element : { ...element, branch };
}
