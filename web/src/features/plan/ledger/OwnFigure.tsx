import { newId } from '../../../ui/newId';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { Labelled, useKept } from '../../../ui';
import { ownCablesOf } from '../document/model';
import { useSheet } from '../sheetContext';
import type { OwnDraft } from './ownDraft';
import { draftOf, readDraft } from './ownDraft';

/** A cable of the operator's own, from one to three rows of its data sheet. */
export function OwnFigure() {
  const { plan, command, address } = useSheet();
  const cable = ownCablesOf(plan).find((c) => c.id === address.own) ?? null;
  const { lengths, settings } = usePreferences();
  const kept = useKept<OwnDraft>(`own ${cable?.id ?? 'new'} ${lengths}`);
  const [draft, setDraft] = useState(() => kept.read() ?? draftOf(cable, lengths === 'ft'));
  const [tried, setTried] = useState(false);
  const read = readDraft(draft, lengths === 'ft', settings.currency);
  const per = lengths === 'ft' ? 'dB per 100 ft' : 'dB per 100 m';

  useEffect(() => kept.keep(draft), [kept, draft]);

  function close() {
    kept.forget();
    address.put({ own: undefined });
  }

  function setPoint(index: number, change: Partial<OwnDraft['points'][number]>) {
    setDraft({
      ...draft,
      points: draft.points.map((p, i) => (i === index ? { ...p, ...change } : p)),
    });
  }

  function remove(id: string) {
    kept.forget();
    command({ do: 'removeOwnCable', id });
    address.put({ row: undefined, own: undefined });
  }

  function put() {
    setTried(true);
    if (!read.cable) return;
    const id = cable?.id ?? `own-${newId()}`;
    command({ do: 'putOwnCable', cable: { id, ...read.cable } });
    address.put({ row: id, own: undefined });
    kept.forget();
  }

  return (
    <form
      aria-label="a figure of my own"
      className="flex flex-wrap items-start gap-x-5 gap-y-2 border-b border-hairline bg-raised px-4 py-3"
      onSubmit={(e) => {
        e.preventDefault();
        put();
      }}
      onKeyDown={(e) => {
        if (e.key === 'Escape') close();
      }}
    >
      <Labelled text="name" trouble={tried ? read.troubles.name : undefined}>
        <input
          autoFocus
          maxLength={120}
          className="boxed w-[18ch]"
          value={draft.name}
          onChange={(e) => setDraft({ ...draft, name: e.target.value })}
        />
      </Labelled>
      <SheetRows
        points={draft.points}
        per={per}
        troubleOf={(i) => (tried ? read.troubles[`point${i}`] : undefined)}
        onChange={setPoint}
      />
      <Labelled text="impedance, Ω" trouble={tried ? read.troubles.impedance : undefined}>
        <input
          className="boxed figures w-[6ch] text-right"
          value={draft.impedance}
          onChange={(e) => setDraft({ ...draft, impedance: e.target.value })}
        />
      </Labelled>
      <Labelled text="velocity factor" trouble={tried ? read.troubles.velocityFactor : undefined}>
        <input
          className="boxed figures w-[6ch] text-right"
          value={draft.velocityFactor}
          onChange={(e) => setDraft({ ...draft, velocityFactor: e.target.value })}
        />
      </Labelled>
      <Labelled
        text={`price per ${lengths}, ${settings.currency}, if known`}
        trouble={tried ? read.troubles.price : undefined}
      >
        <input
          className="boxed figures w-[8ch] text-right"
          value={draft.price}
          onChange={(e) => setDraft({ ...draft, price: e.target.value })}
        />
      </Labelled>
      <span className="flex items-center gap-4 self-center">
        <button type="submit" className="action">
          {cable ? 'Change the row' : 'Add the row'}
        </button>
        <button type="button" className="quiet" onClick={close}>
          Cancel
        </button>
        {cable?.id !== undefined && (
          <button type="button" className="quiet" onClick={() => remove(cable.id ?? '')}>
            Remove
          </button>
        )}
      </span>
    </form>
  );
}

/** One to three rows of a data sheet. */
function SheetRows({
  points,
  per,
  troubleOf,
  onChange,
}: {
  points: OwnDraft['points'];
  per: string;
  troubleOf: (row: number) => string | undefined;
  onChange: (row: number, change: Partial<OwnDraft['points'][number]>) => void;
}) {
  return (
    <fieldset className="flex flex-wrap gap-x-4 gap-y-2">
      <legend className="text-small text-soft">one to three rows of its sheet: MHz, {per}</legend>
      {points.map((point, i) => (
        <span key={i} className="flex flex-col">
          <span className="flex gap-1">
            <input
              aria-label={`frequency of row ${i + 1}, MHz`}
              aria-describedby={troubleOf(i) ? `own-row-${i}` : undefined}
              className="boxed figures w-[9ch] text-right"
              placeholder={['145', '433', '1296'][i]}
              value={point.frequency}
              onChange={(e) => onChange(i, { frequency: e.target.value })}
            />
            <input
              aria-label={`attenuation of row ${i + 1}, ${per}`}
              aria-describedby={troubleOf(i) ? `own-row-${i}` : undefined}
              className="boxed figures w-[7ch] text-right"
              value={point.attenuation}
              onChange={(e) => onChange(i, { attenuation: e.target.value })}
            />
          </span>
          {troubleOf(i) && (
            <span id={`own-row-${i}`} role="alert" className="max-w-44 text-small text-fail">
              {troubleOf(i)}
            </span>
          )}
        </span>
      ))}
    </fieldset>
  );
}
