import type { PieceSpec } from '../../api';
import { useCableTypes, useConnectors } from '../../api';
import { usePreferences } from '../../app/preferences';
import { DayField, QuantityField, Select } from '../../ui';
import { lengthFigure, lengthText, plain, today } from '../../units';
import { typeOptions } from '../../words';

/** A piece while it is being described; the length may be missing still. */
export type PieceDraft = Omit<PieceSpec, 'lengthM'> & { lengthM?: number };

const NOT_KNOWN = '';
const NOBODY_KNOWS = { value: NOT_KNOWN, text: 'not known' };

/** Everything that is said of a piece. */
export function PieceFields({
  draft,
  onChange,
}: {
  draft: PieceDraft;
  onChange: (draft: PieceDraft) => void;
}) {
  const { lengths, settings } = usePreferences();
  const types = useCableTypes().data ?? [];
  return (
    <div className="grid grid-cols-[auto_1fr] items-baseline gap-x-3 gap-y-1.5">
      <Label text="label">
        <input
          aria-label="label"
          maxLength={80}
          autoComplete="off"
          placeholder="what is written on it"
          className="boxed w-[24ch]"
          value={draft.label}
          onChange={(e) => onChange({ ...draft, label: e.target.value })}
        />
      </Label>
      <Label text="type">
        <Select
          label="type of the piece"
          value={draft.cableKey ?? NOT_KNOWN}
          options={[NOBODY_KNOWS, ...typeOptions(types, draft.cableKey)]}
          onChange={(key) => onChange({ ...draft, cableKey: key === NOT_KNOWN ? undefined : key })}
        />
      </Label>
      <Label text="length">
        <QuantityField
          label="length of the piece"
          kind="length"
          unit={lengths}
          unitLabel={lengths}
          least={0.01}
          value={draft.lengthM}
          show={(v) => lengthFigure(v, lengths)}
          say={(v) => lengthText(v, lengths)}
          onCommit={(lengthM) => onChange({ ...draft, lengthM })}
        />
      </Label>
      <Label text="ends">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <EndField
            label="one end"
            end={draft.near}
            onChange={(near) => onChange({ ...draft, near, far: draft.far ?? near })}
          />
          <span className="text-soft">and</span>
          <EndField
            label="other end"
            end={draft.far}
            onChange={(far) => onChange({ ...draft, far })}
          />
        </span>
      </Label>
      <Label text="bought">
        <span className="flex flex-wrap items-baseline gap-x-2">
          <DayField
            label="day it was bought"
            value={draft.boughtOn ?? ''}
            onChange={(day) => onChange({ ...draft, boughtOn: day || undefined })}
          />
          <span className="text-soft">for</span>
          <QuantityField
            label="what it cost"
            kind="price"
            unit=""
            unitLabel={draft.priceCurrency ?? settings.currency}
            value={draft.price}
            show={(v) => plain(v, 2)}
            say={(v) => `${plain(v, 2)} ${draft.priceCurrency ?? settings.currency}`}
            onCommit={(price) =>
              onChange({
                ...draft,
                price: Number(price.toFixed(2)),
                priceCurrency: draft.priceCurrency ?? settings.currency,
              })
            }
          />
        </span>
      </Label>
      <Label text="kept at">
        <input
          aria-label="where it is kept"
          maxLength={200}
          autoComplete="off"
          className="boxed w-[24ch]"
          value={draft.keptAt ?? ''}
          onChange={(e) => onChange({ ...draft, keptAt: e.target.value || undefined })}
        />
      </Label>
      <Label text="outings so far">
        <EarlierOutings draft={draft} onChange={onChange} />
      </Label>
      <Label text="note">
        <textarea
          aria-label="note on the piece"
          rows={2}
          maxLength={4000}
          className="boxed w-full max-w-[40ch]"
          value={draft.note ?? ''}
          onChange={(e) => onChange({ ...draft, note: e.target.value || undefined })}
        />
      </Label>
    </div>
  );
}

/** Outings before each was noted: how many, and in which span of time. */
function EarlierOutings({
  draft,
  onChange,
}: {
  draft: PieceDraft;
  onChange: (draft: PieceDraft) => void;
}) {
  const { earlier } = draft;
  const change = (part: Partial<NonNullable<PieceDraft['earlier']>>) =>
    onChange({
      ...draft,
      earlier: {
        outings: 0,
        from: draft.boughtOn ?? today(),
        until: today(),
        ...earlier,
        ...part,
      },
    });
  return (
    <span className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
      <CountField
        label="outings so far"
        value={earlier?.outings}
        onChange={(outings) =>
          outings ? change({ outings }) : onChange({ ...draft, earlier: undefined })
        }
      />
      {earlier ? (
        <>
          <span className="text-soft">of them hard</span>
          <CountField
            label="of them wet, frozen or trodden on"
            value={earlier.hardOutings ?? 0}
            onChange={(hardOutings) => change({ hardOutings: hardOutings ?? 0 })}
          />
          <span className="text-soft">from</span>
          <DayField
            label="first day of the outings so far"
            value={earlier.from}
            onChange={(day) => day && change({ from: day })}
          />
          <span className="text-soft">until</span>
          <DayField
            label="last day of the outings so far"
            value={earlier.until}
            onChange={(day) => day && change({ until: day })}
          />
        </>
      ) : (
        <span className="text-fine text-soft">before each of them was noted here</span>
      )}
    </span>
  );
}

function CountField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | undefined;
  onChange: (count: number | undefined) => void;
}) {
  return (
    <input
      type="number"
      inputMode="numeric"
      min={0}
      max={10_000}
      step={1}
      aria-label={label}
      className="boxed w-[8ch]"
      value={value ?? ''}
      onChange={(e) => onChange(e.target.value === '' ? undefined : e.target.valueAsNumber)}
    />
  );
}

function Label({ text, children }: { text: string; children: React.ReactNode }) {
  return (
    <>
      <span className="text-soft">{text}</span>
      {children}
    </>
  );
}

type End = NonNullable<PieceSpec['near']>;

/** A connector and its gender, or that nobody knows. */
export function EndField({
  label,
  end,
  onChange,
}: {
  label: string;
  end: End | undefined;
  onChange: (end: End | undefined) => void;
}) {
  const connectors = useConnectors().data ?? [];
  return (
    <span className="inline-flex items-baseline gap-1">
      <Select
        label={`connector, ${label}`}
        value={end?.connectorKey ?? NOT_KNOWN}
        options={[NOBODY_KNOWS, ...typeOptions(connectors, end?.connectorKey)]}
        onChange={(key) =>
          onChange(
            key === NOT_KNOWN ? undefined : { connectorKey: key, gender: end?.gender ?? 'PLUG' },
          )
        }
      />
      {end && (
        <Select
          label={`plug or socket, ${label}`}
          value={end.gender}
          options={[
            { value: 'PLUG', text: 'plug' },
            { value: 'SOCKET', text: 'socket' },
          ]}
          onChange={(gender) => onChange({ ...end, gender })}
        />
      )}
    </span>
  );
}
