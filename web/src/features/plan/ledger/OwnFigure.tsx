import { useEffect, useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { useKept } from '../../../ui';
import { FEET_PER_METRE, parseQuantity, plain, RANGES } from '../../../units';
import type { QuantityKind } from '../../../units';
import type { OwnCable } from '../document/model';

const MOST_POINTS = 3;
const FEET_PER_100_M = 100 / 30.48;

interface Draft {
  name: string;
  impedance: string;
  velocityFactor: string;
  price: string;
  points: { frequency: string; attenuation: string }[];
}

/** A cable of the operator's own, from one to three rows of its data sheet. */
export function OwnFigure({
  cable,
  onPut,
  onRemove,
  onClose,
}: {
  cable: OwnCable | null;
  onPut: (cable: OwnCable) => void;
  onRemove: ((id: string) => void) | null;
  onClose: () => void;
}) {
  const { lengths, settings } = usePreferences();
  const kept = useKept<Draft>(`own ${cable?.id ?? 'new'} ${lengths}`);
  const [draft, setDraft] = useState(() => kept.read() ?? draftOf(cable, lengths === 'ft'));
  const [tried, setTried] = useState(false);
  const read = readDraft(draft, lengths === 'ft', settings.currency);
  const per = lengths === 'ft' ? 'dB per 100 ft' : 'dB per 100 m';

  useEffect(() => kept.keep(draft), [kept, draft]);

  function close() {
    kept.forget();
    onClose();
  }

  function setPoint(index: number, change: Partial<Draft['points'][number]>) {
    setDraft({
      ...draft,
      points: draft.points.map((p, i) => (i === index ? { ...p, ...change } : p)),
    });
  }

  function put() {
    setTried(true);
    if (!read.cable) return;
    onPut({ id: cable?.id ?? `own-${crypto.randomUUID().slice(0, 8)}`, ...read.cable });
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
      <fieldset className="flex flex-wrap gap-x-4 gap-y-2">
        <legend className="text-small text-soft">one to three rows of its sheet: MHz, {per}</legend>
        {draft.points.map((point, i) => (
          <span key={i} className="flex flex-col">
            <span className="flex gap-1">
              <input
                aria-label={`frequency of row ${i + 1}, MHz`}
                className="boxed figures w-[9ch] text-right"
                placeholder={['145', '433', '1296'][i]}
                value={point.frequency}
                onChange={(e) => setPoint(i, { frequency: e.target.value })}
              />
              <input
                aria-label={`attenuation of row ${i + 1}, ${per}`}
                className="boxed figures w-[7ch] text-right"
                value={point.attenuation}
                onChange={(e) => setPoint(i, { attenuation: e.target.value })}
              />
            </span>
            {tried && read.troubles[`point${i}`] && (
              <span role="alert" className="max-w-44 text-small text-fail">
                {read.troubles[`point${i}`]}
              </span>
            )}
          </span>
        ))}
      </fieldset>
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
          leave it
        </button>
        {cable?.id && onRemove && (
          <button
            type="button"
            className="quiet"
            onClick={() => {
              kept.forget();
              onRemove(cable.id as string);
            }}
          >
            remove
          </button>
        )}
      </span>
    </form>
  );
}

function Labelled({
  text,
  trouble,
  children,
}: {
  text: string;
  trouble: string | undefined;
  children: React.ReactNode;
}) {
  return (
    <label className="flex flex-col">
      <span className="text-small text-soft">{text}</span>
      {children}
      {trouble && (
        <span role="alert" className="max-w-44 text-small text-fail">
          {trouble}
        </span>
      )}
    </label>
  );
}

function draftOf(cable: OwnCable | null, perFeet: boolean): Draft {
  const points = (cable?.cable?.attenuation?.points ?? []).map((p) => ({
    frequency: plain(p.frequencyMHz ?? 0),
    attenuation: plain((p.attenuationDbPer100m ?? 0) / (perFeet ? FEET_PER_100_M : 1)),
  }));
  while (points.length < MOST_POINTS) points.push({ frequency: '', attenuation: '' });
  return {
    name: cable?.name ?? 'My cable',
    impedance: plain(cable?.cable?.impedanceOhm ?? 50),
    velocityFactor: plain(cable?.cable?.velocityFactor ?? 0.83),
    price: cable?.price ? plain(cable.price.perM / (perFeet ? FEET_PER_METRE : 1)) : '',
    points,
  };
}

interface ReadDraft {
  cable: Omit<OwnCable, 'id'> | null;
  troubles: Record<string, string | undefined>;
}

/** What the form means, or what is wrong with it, field by field. */
function readDraft(draft: Draft, perFeet: boolean, currency: string): ReadDraft {
  const troubles: ReadDraft['troubles'] = {};
  const number = (field: string, text: string, kind: QuantityKind, unit: string): number => {
    const parsed = parseQuantity(text, kind, unit);
    const { min, max } = RANGES[kind];
    if (!parsed.ok) troubles[field] = parsed.message;
    else if (parsed.value < min || parsed.value > max)
      troubles[field] =
        `${plain(parsed.value)} is out of range: from ${plain(min, 6)} to ${plain(max)}.`;
    return parsed.ok ? parsed.value : NaN;
  };
  if (draft.name.trim() === '') troubles.name = 'It needs a name.';
  const points = draft.points
    .map((p, i) => ({ ...p, field: `point${i}` }))
    .filter((p) => p.frequency.trim() !== '' || p.attenuation.trim() !== '')
    .map((p) => ({
      frequencyMHz: number(p.field, p.frequency, 'frequency', 'mhz'),
      attenuationDbPer100m: number(
        p.field,
        p.attenuation,
        'attenuation',
        perFeet ? 'db/100ft' : 'db/100m',
      ),
    }));
  if (points.length === 0) troubles.point0 = 'Type at least one row of its sheet.';
  const impedanceOhm = number('impedance', draft.impedance, 'impedance', 'ohm');
  const velocityFactor = number('velocityFactor', draft.velocityFactor, 'ratio', '');
  const price = draft.price.trim() === '' ? null : number('price', draft.price, 'price', '');
  const fine = Object.values(troubles).every((t) => t === undefined);
  return {
    troubles,
    cable: fine
      ? {
          name: draft.name.trim(),
          cable: { impedanceOhm, velocityFactor, attenuation: { points } },
          ...(price !== null && {
            price: { perM: perFeet ? price * FEET_PER_METRE : price, currency },
          }),
        }
      : null,
  };
}
