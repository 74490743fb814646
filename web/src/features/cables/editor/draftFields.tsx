import { Labelled, Select } from '../../../ui';
import { words } from '../../../words';
import { NUMBERS } from './draft';
import type { Draft, NumberName } from './draft';
import type { DraftEditing } from './useDraft';

const PROVENANCES = (['SHEET', 'TYPICAL', 'MEASURED', 'GUESSED'] as const).map((value) => ({
  value,
  text: words.provenance[value],
}));

type TextName = 'jacket' | 'centreConductor' | 'shield' | 'dielectric';
type DayName = 'sourceDate' | 'pricedOn';
type ProvenanceName = 'provenance' | 'mechanicsProvenance' | 'ratingsProvenance';

/** A number with its unit; what is wrong with it is told once it was tried to store it. */
export function NumberIn({ editing, name }: { editing: DraftEditing; name: NumberName }) {
  const { draft, set, tried, troubles } = editing;
  const { label, unitLabel } = NUMBERS[name];
  const trouble = troubles[name];
  return (
    <Labelled text={label} trouble={tried || trouble?.startsWith('Is this') ? trouble : undefined}>
      <span className="flex items-baseline gap-1">
        <input
          aria-label={label}
          aria-invalid={trouble !== undefined && tried}
          className="boxed figures w-[9ch] text-right"
          value={draft.numbers[name]}
          onChange={(e) => set({ numbers: { ...draft.numbers, [name]: e.target.value } })}
        />
        <span className="text-small text-soft">
          {name === 'pricePerM' ? draft.priceCurrency : unitLabel}
        </span>
      </span>
    </Labelled>
  );
}

export function TextIn({
  editing: { draft, set },
  name,
  label,
}: {
  editing: DraftEditing;
  name: TextName;
  label: string;
}) {
  return (
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
}

export function DayIn({
  editing: { draft, set },
  name,
  text,
  label,
}: {
  editing: DraftEditing;
  name: DayName;
  text: string;
  label: string;
}) {
  return (
    <Labelled text={text}>
      <input
        aria-label={label}
        type="date"
        className="boxed"
        value={draft[name]}
        onChange={(e) => set({ [name]: e.target.value })}
      />
    </Labelled>
  );
}

/** Where a group of figures comes from. */
export function ProvenanceIn({
  editing: { draft, set },
  name,
  text,
  label,
}: {
  editing: DraftEditing;
  name: ProvenanceName;
  text: string;
  label: string;
}) {
  return (
    <Labelled text={text}>
      <Select
        label={label}
        value={draft[name]}
        options={PROVENANCES}
        onChange={(provenance) => set({ [name]: provenance })}
      />
    </Labelled>
  );
}

/** One of a few, for a field of the draft that is one of them. */
export function ChoiceIn<N extends 'sunResistant' | 'directBurial' | 'flexing'>({
  editing: { draft, set },
  name,
  label,
  options,
}: {
  editing: DraftEditing;
  name: N;
  label: string;
  options: readonly { value: Draft[N]; text: string }[];
}) {
  return (
    <Labelled text={label}>
      <Select
        label={label}
        value={draft[name]}
        options={options}
        onChange={(value) => set({ [name]: value } as Partial<Draft>)}
      />
    </Labelled>
  );
}
