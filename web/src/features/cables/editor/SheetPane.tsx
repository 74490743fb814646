import { entries, Labelled, Select } from '../../../ui';
import { FREQUENCY_UNITS, LOSS_PER, sentences } from '../../../words';
import { SheetRows } from './SheetRows';
import type { DraftEditing } from './useDraft';
import type { SheetReading } from './useSheetText';

const AS_READ = '';

const LOSSES = [
  { value: AS_READ, text: 'per: as it says' },
  ...entries(LOSS_PER).map(([value, text]) => ({ value, text })),
] as const;

const FREQUENCIES = [
  { value: AS_READ, text: 'unit: as it says' },
  ...entries(FREQUENCY_UNITS).map(([value, text]) => ({ value, text })),
] as const;

/** The rows of a sheet as they were pasted, and beside them how they were understood. */
export function SheetPane({ editing, sheet }: { editing: DraftEditing; sheet: SheetReading }) {
  const { draft, set, tried } = editing;
  const columns = sheet.read?.understood.columns ?? [];
  return (
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
            sheet.leaveNothingOut();
          }}
        />
        <span className="flex flex-wrap gap-x-3 gap-y-1">
          <Select
            label="the losses are"
            value={sheet.lossPer ?? AS_READ}
            options={LOSSES}
            onChange={(v) => sheet.setLossPer(v === AS_READ ? undefined : v)}
          />
          <Select
            label="the frequencies are"
            value={sheet.frequencyUnit ?? AS_READ}
            options={FREQUENCIES}
            onChange={(v) => sheet.setFrequencyUnit(v === AS_READ ? undefined : v)}
          />
          {columns.length > 1 && (
            <Select
              label="which cable of the table"
              value={String(sheet.read?.understood.lossColumn ?? '')}
              options={columns.map((name, i) => ({ value: String(i + 2), text: name }))}
              onChange={(column) => sheet.setLossColumn(Number(column))}
            />
          )}
          {sheet.read && !sheet.read.understood.lying && (
            <button type="button" className="quiet" onClick={sheet.swapColumns}>
              Swap the columns
            </button>
          )}
        </span>
      </Labelled>
      <div className="min-w-[240px] flex-1">
        {sheet.error && (
          <p role="alert" className="text-fail">
            {sheet.error.message}.
          </p>
        )}
        {draft.sheet.trim() === '' && tried && (
          <p role="alert" className="text-fail">
            {sentences.sheetNeedsARow}
          </p>
        )}
        {sheet.read && !sheet.error && (
          <SheetRows
            read={sheet.read}
            isOld={sheet.isOld}
            leftOut={sheet.leftOut}
            onLeaveOut={sheet.leaveOut}
            onPer100Ft={() => sheet.setLossPer('PER_100_FT')}
          />
        )}
      </div>
    </div>
  );
}
