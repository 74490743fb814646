import type { RefObject } from 'react';
import { usePreferences } from '../../../app/preferences';
import { Choice, QuantityField, SaveDrawing } from '../../../ui';
import { frequencyText, lengthFigure, lengthText, plain } from '../../../units';
import { bandName } from '../document/model';
import { useSheet } from '../sheetContext';
import { saveCsv } from './exports';
import type { Figure, Over, Sweep } from './useSweep';

/** What is drawn, over what, from where to where; and how it is saved. */
export function SweepControls({
  sweep,
  drawing,
}: {
  sweep: Sweep;
  drawing: RefObject<HTMLDivElement | null>;
}) {
  const { plan, band, hasWatts } = useSheet();
  const { over, figure, curves, answer } = sweep;
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <Choice<Figure>
        label="what is drawn"
        value={figure}
        options={[
          { value: 'arrives', text: hasWatts ? 'power at the antenna' : 'what arrives' },
          { value: 'matched', text: 'matched loss' },
          { value: 'swrAtRadio', text: 'SWR at the radio' },
          { value: 'swrAtAntenna', text: 'SWR at the antenna' },
        ]}
        onChange={sweep.setFigure}
      />
      <Choice<Over>
        label="over what"
        value={over}
        options={[
          { value: 'frequency', text: 'over frequency' },
          { value: 'length', text: `over length, on ${bandName(band)}` },
        ]}
        onChange={sweep.setOver}
      />
      <Range sweep={sweep} />
      <span className="ml-auto flex gap-4">
        <button
          type="button"
          className="quiet"
          disabled={curves.length === 0 || answer.isPlaceholderData}
          onClick={() => answer.data && saveCsv(plan.name, over, answer.data)}
        >
          Save as CSV
        </button>
        <SaveDrawing
          name={plan.name}
          drawn={drawing}
          disabled={curves.length === 0 || answer.isPlaceholderData}
        />
      </span>
    </div>
  );
}

function Range({ sweep }: { sweep: Sweep }) {
  const { lengths } = usePreferences();
  if (sweep.over === 'length') {
    return (
      <span className="inline-flex items-baseline gap-1">
        <span className="text-soft">up to</span>
        <QuantityField
          label="up to length"
          kind="length"
          unit={lengths}
          unitLabel={lengths}
          value={sweep.toM}
          least={1}
          show={(v) => lengthFigure(v, lengths)}
          say={(v) => lengthText(v, lengths)}
          onCommit={sweep.setLength}
        />
      </span>
    );
  }
  return (
    <>
      <QuantityField
        label="from frequency"
        kind="frequency"
        unit="mhz"
        unitLabel="MHz"
        value={sweep.from}
        show={(v) => plain(v, 3)}
        say={frequencyText}
        onCommit={sweep.setFrom}
      />
      <span className="text-soft">to</span>
      <QuantityField
        label="to frequency"
        kind="frequency"
        unit="mhz"
        unitLabel="MHz"
        value={sweep.to}
        show={(v) => plain(v, 3)}
        say={frequencyText}
        onCommit={sweep.setTo}
      />
    </>
  );
}
