import { useMemo, useRef } from 'react';
import type { ValueSteps } from '../../../api';
import { useLedger } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { Choice, QuantityField, SaveDrawing } from '../../../ui';
import { plain } from '../../../units';
import { kneeSentence } from '../../../words';
import { bandName, comparisonOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { ChanceSteps } from './ChanceSteps';
import { ValueDrawing } from './ValueDrawing';
import { Unplaced, ValueStepList } from './ValueStepList';

/** Cost against loss on the band in focus: the steps up, and where they stop paying. */
export function ValueView() {
  const { plan, band: inFocus, focus, address } = useSheet();
  const { settings } = usePreferences();
  const by = address.buys;
  const drawn = useRef<HTMLDivElement>(null);
  const worthPerDb = settings.cableWorthPerDb;
  const request = useMemo(
    () => ({
      ...comparisonOf(plan, settings.tolerances, []),
      value: { band: focus, worthPerDb },
    }),
    [plan, settings.tolerances, focus, worthPerDb],
  );
  const answer = useLedger(request);
  const ladder = answer.data?.ladder;
  const band = bandName(inFocus);
  const currency = ladder?.currency ?? settings.currency;
  if (answer.error) {
    return (
      <p role="alert" className="px-4 py-6 text-fail">
        {answer.error.message}.
      </p>
    );
  }
  if (!ladder) {
    return (
      <p role="status" className="px-4 py-6 text-soft">
        Weighing cost against loss …
      </p>
    );
  }
  if (ladder.steps.length === 0) {
    return (
      <p className="px-4 py-6 text-soft">
        No cable of known price and the station’s impedance can be weighed on {band}.
      </p>
    );
  }
  return (
    <div
      className={`min-h-0 flex-1 overflow-y-auto px-4 py-2 ${answer.isPlaceholderData ? 'opacity-45' : ''}`}
      ref={drawn}
      data-testid="value-view"
      role="region"
      aria-label="cost against loss"
      tabIndex={0}
    >
      <p className="flex flex-wrap items-baseline justify-end gap-x-6">
        <Choice
          label="what money buys"
          value={by}
          options={BUYS}
          onChange={(to) => address.put({ by: to === 'loss' ? undefined : to })}
        />
        {by === 'loss' && <SaveDrawing name={`${plan.name}, value`} drawn={drawn} asSvg={true} />}
      </p>
      {by === 'chance' ? (
        <ChanceSteps currency={currency} />
      ) : (
        <InDb ladder={ladder} currency={currency} />
      )}
    </div>
  );
}

const BUYS = [
  { value: 'loss', text: 'less loss' },
  { value: 'chance', text: 'more certainty' },
] as const;

/** The steps down in loss, where they stop paying, and what a dB is worth. */
function InDb({ ladder, currency }: { ladder: ValueSteps; currency: string }) {
  const { band: inFocus, ledger } = useSheet();
  const { settings, change } = usePreferences();
  const worthPerDb = settings.cableWorthPerDb;
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-1 pb-1">
        <span>{kneeSentence(ladder, worthPerDb, bandName(inFocus), ledger?.rows ?? [])}</span>
        <span className="ml-2 inline-flex items-baseline gap-1 text-soft">
          A dB is worth
          <QuantityField
            label="worth of a dB"
            kind="budget"
            unit=""
            unitLabel={currency}
            value={worthPerDb}
            show={(v) => plain(v, 2)}
            say={(v) => `${plain(v, 2)} ${currency}`}
            least={0.01}
            onCommit={(cableWorthPerDb) => change({ cableWorthPerDb })}
          />
          to me
        </span>
      </p>
      <div className="flex flex-wrap gap-x-6">
        <div className="min-w-[300px] flex-[3_1_420px]">
          <ValueDrawing ladder={ladder} />
        </div>
        <div className="min-w-[280px] flex-[2_1_300px]">
          <ValueStepList ladder={ladder} />
          <Unplaced ladder={ladder} />
        </div>
      </div>
    </>
  );
}
