import { Labelled } from '../../../ui';
import { DayIn, NumberIn, ProvenanceIn } from './draftFields';
import type { DraftEditing } from './useDraft';

/** What a type is called, what every computation needs of it, and where its losses come from. */
export function Identity({ editing }: { editing: DraftEditing }) {
  const { draft, set, tried, troubles } = editing;
  const hasSheet = draft.provenance !== 'GUESSED' && draft.provenance !== 'TYPICAL';
  return (
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
      <NumberIn editing={editing} name="impedanceOhm" />
      <NumberIn editing={editing} name="velocityFactor" />
      <NumberIn editing={editing} name="outerDiameterMm" />
      <ProvenanceIn
        editing={editing}
        name="provenance"
        text="its losses are"
        label="its figures are"
      />
      {hasSheet && (
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
          <DayIn editing={editing} name="sourceDate" text="of" label="date of the sheet" />
        </>
      )}
    </div>
  );
}
