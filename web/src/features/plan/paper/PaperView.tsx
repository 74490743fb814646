import { useRef, useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { lengthText, plain } from '../../../units';
import { capital, stepsOf } from '../../../words';
import type { Fitting } from '../../../words';
import { runOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { useSheet } from '../sheetContext';
import { Checklist } from './Checklist';
import { FirstPage } from './FirstPage';
import { PaperBar } from './PaperBar';
import { SecondPage } from './SecondPage';
import { useRunSheet } from './usePaper';
import type { RunSheet } from './usePaper';

/** The run sheet: what is needed on the roof, on one or two pages; printed, saved as PDF, and ticked off here. */
export function PaperView() {
  const onSheet = useSheet();
  const { plan, rowId } = onSheet;
  const { settings, lengths } = usePreferences();
  const [format, setFormat] = useState<'a4' | 'letter'>(settings.region === 2 ? 'letter' : 'a4');
  const pages = useRef<HTMLDivElement>(null);
  const drawing = useRef<HTMLDivElement>(null);
  const answer = useRunSheet(plan, rowId);
  const sheet = answer.data;
  const done = new Set(plan.document.done ?? []);

  if (!sheet) {
    return (
      <p role="status" className="px-4 py-6 text-soft">
        {answer.isError ? `${capital(answer.error.message)}.` : 'Laying out the sheet …'}
      </p>
    );
  }
  const fitting = fittingOf(onSheet, sheet, lengths, settings.temperatures === 'FAHRENHEIT');
  const parts = stepsOf(fitting);
  return (
    <div className="min-h-0 flex-1 overflow-auto print:overflow-visible">
      <PaperBar format={format} onFormat={setFormat} pages={pages} drawing={drawing} />
      <div className="flex flex-col min-[1200px]:flex-row print:block">
        <div
          ref={pages}
          role="region"
          aria-label="pages, to be scrolled"
          tabIndex={0}
          className="flex flex-col items-start gap-4 overflow-x-auto p-4 print:block print:p-0 min-[1200px]:shrink-0"
        >
          <FirstPage sheet={sheet} format={format} drawing={drawing} />
          <SecondPage sheet={sheet} format={format} parts={parts} done={done} fitting={fitting} />
        </div>
        <Checklist parts={parts} done={done} />
      </div>
    </div>
  );
}

function fittingOf(
  { plan, catalogue, connectors, hasWatts }: Sheet,
  sheet: RunSheet,
  lengths: 'm' | 'ft',
  fahrenheit: boolean,
): Fitting {
  const run = runOf(plan);
  const key = sheet.row.assignment.find((a) => a.source.cableKey !== null)?.source.cableKey;
  const joints = new Set(run.flatMap((e) => (e.kind === 'JOINT' ? [e.connectorKey] : [])));
  return {
    cable: catalogue.find((t) => t.key === key),
    cuts: sheet.cuts
      .filter((c) => !c.isOwned)
      .map((c) => `${lengthText(Number(plain(c.cutM, 2)), lengths)} of ${c.name}`),
    owned: sheet.cuts.filter((c) => c.isOwned).map((c) => c.name),
    connectors: connectors.filter((c) => joints.has(c.key)),
    hasArrestor: run.some((e) => e.kind === 'DEVICE' && /arrest/i.test(e.name ?? '')),
    sends: hasWatts,
    fahrenheit,
  };
}
