import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { CableType, Schemas } from '../../api';
import { answered, api } from '../../api';
import { usePreferences } from '../../app/preferences';
import { Select, useKept, useSettled } from '../../ui';
import { plain } from '../../units';
import { FLEXING, FREQUENCY_UNITS, LOSS_PER, words } from '../../words';
import {
  draftOf,
  namesakeOfOtherImpedance,
  NUMBERS,
  numberIn,
  requestOf,
  troublesIn,
} from './draft';
import type { Draft, NumberName } from './draft';
import { PlansMoved } from './PlansMoved';
import { SheetRows } from './SheetRows';

type Request = Schemas['SheetTextRequest'];

/** The table is read so long after the last key. */
const SETTLED_MS = 250;

const AS_READ = '';

const PROVENANCES = (['SHEET', 'TYPICAL', 'MEASURED', 'GUESSED'] as const).map((value) => ({
  value,
  text: words.provenance[value],
}));

const YES_OR_NO = [
  { value: '', text: 'not known' },
  { value: 'yes', text: 'yes' },
  { value: 'no', text: 'no' },
] as const;

/** A type of the operator's own: what its sheet says, read as it is pasted, and stored only when it is asked for. */
export function TypeEditor({
  types,
  type,
  isCopy,
  onDone,
  onClose,
}: {
  types: readonly CableType[];
  /** The type that is changed or copied; null for a new one. */
  type: CableType | null;
  isCopy: boolean;
  onDone: (key: string) => void;
  onClose: () => void;
}) {
  const { settings } = usePreferences();
  const queries = useQueryClient();
  const kept = useKept<Draft>(`${isCopy ? 'copy of ' : ''}${type?.key ?? 'new'}`);
  const [draft, setDraft] = useState<Draft>(
    () => kept.read() ?? copied(draftOf(type, settings.currency), isCopy),
  );
  const [tried, setTried] = useState(false);
  const [lossPer, setLossPer] = useState<Request['lossPer']>();
  const [frequencyUnit, setFrequencyUnit] = useState<Request['frequencyUnit']>();
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  useEffect(() => kept.keep(draft), [kept, draft]);

  const wanted = useMemo<Request>(() => {
    const number = (name: NumberName) => {
      const value = numberIn(draft, name);
      return typeof value === 'number' ? value : undefined;
    };
    return {
      text: draft.sheet,
      lossPer,
      frequencyUnit,
      ...(!draft.balanced && {
        impedanceOhm: number('impedanceOhm'),
        velocityFactor: number('velocityFactor'),
        outerDiameterMm: number('outerDiameterMm'),
      }),
    };
  }, [draft, lossPer, frequencyUnit]);
  const request = useSettled(wanted, SETTLED_MS);
  const reading = useQuery({
    queryKey: ['sheet', request],
    queryFn: ({ signal }) => answered(api.POST('/api/sheets', { body: request, signal })),
    enabled: request.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
  const read = draft.sheet.trim() === '' ? undefined : reading.data;
  const troubles = troublesIn(draft);
  const namesake = namesakeOfOtherImpedance(draft, types);
  const isReady = read !== undefined && !reading.isError && request === wanted;

  const taken = useMemo(
    () =>
      (read?.rows ?? [])
        .filter((r) => !leftOut.has(r.line))
        .map(({ frequencyMHz, attenuationDbPer100m }) => ({ frequencyMHz, attenuationDbPer100m })),
    [read, leftOut],
  );

  const store = useMutation({
    mutationFn: () => {
      return type && !isCopy
        ? answered(
            api.PUT('/api/cable-types/{key}', {
              params: { path: { key: type.key } },
              body: requestOf(draft, taken, type.revision),
            }),
          )
        : answered(api.POST('/api/cable-types', { body: requestOf(draft, taken, undefined) }));
    },
    onSuccess: (stored) => {
      kept.forget();
      void queries.invalidateQueries({ queryKey: ['cable-types'] });
      void queries.invalidateQueries({ queryKey: ['comparison'] });
      void queries.invalidateQueries({ queryKey: ['curves'] });
      onDone(stored.key);
    },
  });

  function close() {
    kept.forget();
    onClose();
  }

  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const number = (name: NumberName) => (
    <Labelled
      key={name}
      text={NUMBERS[name].label}
      trouble={tried || troubles[name]?.startsWith('Is this') ? troubles[name] : undefined}
    >
      <span className="flex items-baseline gap-1">
        <input
          aria-label={NUMBERS[name].label}
          aria-invalid={troubles[name] !== undefined && tried}
          className="boxed figures w-[9ch] text-right"
          value={draft.numbers[name]}
          onChange={(e) => set({ numbers: { ...draft.numbers, [name]: e.target.value } })}
        />
        <span className="text-small text-soft">
          {name === 'pricePerM' ? draft.priceCurrency : NUMBERS[name].unitLabel}
        </span>
      </span>
    </Labelled>
  );
  const text = (name: 'jacket' | 'centreConductor' | 'shield' | 'dielectric', label: string) => (
    <Labelled text={label}>
      <input
        aria-label={label}
        className="boxed w-[14ch]"
        maxLength={60}
        value={draft[name]}
        onChange={(e) => set({ [name]: e.target.value })}
      />
    </Labelled>
  );

  return (
    <form
      aria-label={type && !isCopy ? `change ${type.name}` : 'a cable of my own'}
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        setTried(true);
        if (Object.keys(troubles).length === 0 && isReady) store.mutate();
      }}
    >
      <h2 className="text-heading font-bold">
        {type && !isCopy ? `Change ${type.name}` : 'A cable of my own'}
      </h2>
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <Labelled text="name" trouble={tried ? troubles.name : undefined}>
          <input
            autoFocus
            aria-label="name"
            className="boxed w-[22ch]"
            maxLength={120}
            value={draft.name}
            onChange={(e) => set({ name: e.target.value })}
          />
        </Labelled>
        {number('impedanceOhm')}
        {number('velocityFactor')}
        {number('outerDiameterMm')}
        <Labelled text="its losses are">
          <Select
            label="its figures are"
            value={draft.provenance}
            options={PROVENANCES}
            onChange={(provenance) => set({ provenance })}
          />
        </Labelled>
        {draft.provenance !== 'GUESSED' && draft.provenance !== 'TYPICAL' && (
          <>
            <Labelled text="title of the sheet">
              <input
                aria-label="title of the sheet"
                className="boxed w-[20ch]"
                maxLength={300}
                value={draft.sourceTitle}
                onChange={(e) => set({ sourceTitle: e.target.value })}
              />
            </Labelled>
            <Labelled text="of">
              <input
                aria-label="date of the sheet"
                type="date"
                className="boxed"
                value={draft.sourceDate}
                onChange={(e) => set({ sourceDate: e.target.value })}
              />
            </Labelled>
          </>
        )}
      </div>
      {namesake && (
        <p className="text-marginal">
          {namesake.name} is of {plain(namesake.impedanceOhm, 1)} Ω. Is this one really of{' '}
          {draft.numbers.impedanceOhm} Ω?
        </p>
      )}
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <Labelled text="rows of its sheet: type or paste them, frequency first">
          <textarea
            aria-label="rows of its sheet"
            rows={8}
            spellCheck={false}
            className="boxed figures w-[26ch]"
            placeholder={'MHz  dB/100 m\n50   3.1\n145  5.4\n433  9.6'}
            value={draft.sheet}
            onChange={(e) => {
              set({ sheet: e.target.value });
              setLeftOut(new Set());
            }}
          />
          <span className="flex gap-3">
            <Select
              label="the losses are"
              value={lossPer ?? AS_READ}
              options={[
                { value: AS_READ, text: 'per: as it says' },
                ...entries(LOSS_PER).map(([value, t]) => ({ value, text: t })),
              ]}
              onChange={(v) => setLossPer(v === AS_READ ? undefined : v)}
            />
            <Select
              label="the frequencies are"
              value={frequencyUnit ?? AS_READ}
              options={[
                { value: AS_READ, text: 'unit: as it says' },
                ...entries(FREQUENCY_UNITS).map(([value, t]) => ({ value, text: t })),
              ]}
              onChange={(v) => setFrequencyUnit(v === AS_READ ? undefined : v)}
            />
          </span>
        </Labelled>
        <div className="min-w-[240px] flex-1">
          {reading.isError && draft.sheet.trim() !== '' && (
            <p role="alert" className="text-fail">
              {reading.error.message}.
            </p>
          )}
          {draft.sheet.trim() === '' && tried && (
            <p role="alert" className="text-fail">
              It needs at least one row: a frequency and a loss.
            </p>
          )}
          {read && !reading.isError && (
            <SheetRows
              read={read}
              isOld={request !== wanted}
              leftOut={leftOut}
              onLeaveOut={(line) => setLeftOut(toggled(leftOut, line))}
              onPer100Ft={() => setLossPer('PER_100_FT')}
            />
          )}
        </div>
      </div>
      <details>
        <summary>what can be held in the hand, what it bears, what it costs</summary>
        <div className="flex flex-wrap gap-x-4 gap-y-2 pt-2">
          {(
            [
              'massGPerM',
              'bendRadiusOnceMm',
              'bendRadiusRepeatedMm',
              'minInstallC',
              'minOperatingC',
              'maxOperatingC',
            ] as const
          ).map(number)}
          {text('jacket', 'jacket')}
          {text('centreConductor', 'centre conductor')}
          {text('shield', 'shield')}
          {text('dielectric', 'dielectric')}
          <Labelled text="bears the sun">
            <Select
              label="bears the sun"
              value={draft.sunResistant}
              options={YES_OR_NO}
              onChange={(sunResistant) => set({ sunResistant })}
            />
          </Labelled>
          <Labelled text="may lie in the ground">
            <Select
              label="may lie in the ground"
              value={draft.directBurial}
              options={YES_OR_NO}
              onChange={(directBurial) => set({ directBurial })}
            />
          </Labelled>
          <Labelled text="is made to be">
            <Select
              label="is made to be"
              value={draft.flexing}
              options={[
                { value: '', text: 'not known' },
                ...entries(FLEXING).map(([value, t]) => ({ value, text: t })),
              ]}
              onChange={(flexing) => set({ flexing })}
            />
          </Labelled>
          <Labelled text="kind of line">
            <Select
              label="kind of line"
              value={draft.balanced ? 'balanced' : 'coax'}
              options={[
                { value: 'coax', text: 'coaxial' },
                { value: 'balanced', text: 'balanced' },
              ]}
              onChange={(kind) => set({ balanced: kind === 'balanced' })}
            />
          </Labelled>
          <Labelled text="what is held in the hand is">
            <Select
              label="where its mechanics come from"
              value={draft.mechanicsProvenance}
              options={PROVENANCES}
              onChange={(mechanicsProvenance) => set({ mechanicsProvenance })}
            />
          </Labelled>
          <Labelled text="what it bears is">
            <Select
              label="where its ratings come from"
              value={draft.ratingsProvenance}
              options={PROVENANCES}
              onChange={(ratingsProvenance) => set({ ratingsProvenance })}
            />
          </Labelled>
          {(['averagePowerW', 'ratedAtMHz', 'ratedAtC', 'peakVoltageV'] as const).map(number)}
          {(['pricePerM', 'soldInM'] as const).map(number)}
          <Labelled text="price of">
            <input
              aria-label="day of the price"
              type="date"
              className="boxed"
              value={draft.pricedOn}
              onChange={(e) => set({ pricedOn: e.target.value })}
            />
          </Labelled>
          <Labelled text="note">
            <input
              aria-label="note"
              className="boxed w-[30ch]"
              maxLength={2000}
              value={draft.note}
              onChange={(e) => set({ note: e.target.value })}
            />
          </Labelled>
        </div>
      </details>
      {type && !isCopy && isReady && read && (
        <PlansMoved type={type} draft={draft} points={taken} />
      )}
      {store.isError && (
        <p role="alert" className="text-fail">
          Not stored: {store.error.message}.
        </p>
      )}
      {tried && Object.keys(troubles).length > 0 && (
        <p role="alert" className="text-fail">
          Not stored yet: look at {Object.keys(troubles).map(labelOf).join(', ')}.
        </p>
      )}
      <span className="flex items-baseline gap-4">
        <button type="submit" className="action" disabled={store.isPending || !isReady}>
          {type && !isCopy ? 'Store the change' : 'Store the cable'}
        </button>
        <button type="button" className="quiet" onClick={close}>
          not yet
        </button>
      </span>
    </form>
  );
}

function copied(draft: Draft, isCopy: boolean): Draft {
  return isCopy ? { ...draft, name: `${draft.name}, copy` } : draft;
}

function labelOf(name: string): string {
  return name === 'name' ? 'name' : NUMBERS[name as NumberName].label;
}

function toggled(set: ReadonlySet<number>, item: number): ReadonlySet<number> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}

function entries<K extends string, V>(record: Record<K, V>): [K, V][] {
  return Object.entries(record) as [K, V][];
}

function Labelled({
  text,
  trouble,
  children,
}: {
  text: string;
  trouble?: string;
  children: React.ReactNode;
}) {
  return (
    <div className="flex flex-col gap-0.5">
      <span className="text-small text-soft">{text}</span>
      {children}
      {trouble && (
        <span role="alert" className="max-w-48 text-small text-fail">
          {trouble}
        </span>
      )}
    </div>
  );
}
