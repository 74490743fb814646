import { entries, Labelled, Select } from '../../../ui';
import { FLEXING } from '../../../words';
import type { Draft, NumberName } from './draft';
import { ChoiceIn, DayIn, NumberIn, ProvenanceIn, TextIn } from './draftFields';
import type { DraftEditing } from './useDraft';

const YES_OR_NO = [
  { value: '', text: 'not known' },
  { value: 'yes', text: 'yes' },
  { value: 'no', text: 'no' },
] as const;

const FLEXINGS: readonly { value: Draft['flexing']; text: string }[] = [
  { value: '', text: 'not known' },
  ...entries(FLEXING).map(([value, text]) => ({ value, text })),
];

const MECHANICS: readonly NumberName[] = [
  'massGPerM',
  'bendRadiusOnceMm',
  'bendRadiusRepeatedMm',
  'minInstallC',
  'minOperatingC',
  'maxOperatingC',
];

const RATINGS: readonly NumberName[] = ['averagePowerW', 'ratedAtMHz', 'ratedAtC', 'peakVoltageV'];

const PRICE: readonly NumberName[] = ['pricePerM', 'soldInM'];

/** Mechanics, ratings and price: what no loss needs, and a choice may. */
export function MoreFacts({ editing }: { editing: DraftEditing }) {
  const { draft, set } = editing;
  const numbers = (names: readonly NumberName[]) =>
    names.map((name) => <NumberIn key={name} editing={editing} name={name} />);
  return (
    <details>
      <summary>what can be held in the hand, what it bears, what it costs</summary>
      <div className="flex flex-wrap gap-x-4 gap-y-2 pt-2">
        {numbers(MECHANICS)}
        <TextIn editing={editing} name="jacket" label="jacket" />
        <TextIn editing={editing} name="centreConductor" label="centre conductor" />
        <TextIn editing={editing} name="shield" label="shield" />
        <TextIn editing={editing} name="dielectric" label="dielectric" />
        <ChoiceIn editing={editing} name="sunResistant" label="bears the sun" options={YES_OR_NO} />
        <ChoiceIn
          editing={editing}
          name="directBurial"
          label="may lie in the ground"
          options={YES_OR_NO}
        />
        <ChoiceIn editing={editing} name="flexing" label="is made to be" options={FLEXINGS} />
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
        <Labelled text="centre of copper-clad steel">
          <Select
            label="centre of copper-clad steel"
            value={draft.copperCladSteel ? 'yes' : 'no'}
            options={[
              { value: 'no', text: 'no' },
              { value: 'yes', text: 'yes, or often' },
            ]}
            onChange={(answer) => set({ copperCladSteel: answer === 'yes' })}
          />
        </Labelled>
        <Labelled text="between two rows">
          <Select
            label="between two rows"
            value={draft.followsPoints ? 'rows' : 'law'}
            options={[
              { value: 'law', text: 'the fitted law is followed' },
              { value: 'rows', text: 'the rows are followed' },
            ]}
            onChange={(school) => set({ followsPoints: school === 'rows' })}
          />
        </Labelled>
        {numbers(['withinPercent'])}
        {numbers(draft.balanced ? ['wetTimes'] : ['shieldBoreMm'])}
        <ProvenanceIn
          editing={editing}
          name="mechanicsProvenance"
          text="what is held in the hand is"
          label="where its mechanics come from"
        />
        <ProvenanceIn
          editing={editing}
          name="ratingsProvenance"
          text="what it bears is"
          label="where its ratings come from"
        />
        {numbers(RATINGS)}
        {numbers(PRICE)}
        <DayIn editing={editing} name="pricedOn" text="price of" label="day of the price" />
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
  );
}
