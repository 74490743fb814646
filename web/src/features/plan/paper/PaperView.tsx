import { useRef, useState } from 'react';
import type { CableType, Connector, Decision } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, Toggle, SaveDrawing } from '../../../ui';
import { lengthFigure, lengthText, plain } from '../../../units';
import { capital, stepsOf } from '../../../words';
import type { Fitting } from '../../../words';
import type { Command } from '../document/commands';
import type { Plan } from '../document/model';
import { powerOn, bandsOf, runOf } from '../document/model';
import { Checklist } from './Checklist';
import { FirstPage } from './FirstPage';
import { savePdf } from './pdf';
import { SecondPage } from './SecondPage';
import { useRunSheet } from './usePaper';
import type { Allowances, RunSheet } from './usePaper';

const ALLOWANCES = [
  ['eachEndM', 'each end'],
  ['dripLoopM', 'drip loop'],
  ['serviceLoopM', 'service loop'],
] as const;

interface Props {
  planId: string;
  plan: Plan;
  version: number;
  catalogue: CableType[];
  connectors: Connector[];
  focus: number;
  rowId: string | null;
  decisions: readonly Decision[];
  onCommand: (command: Command) => void;
}

/** The run sheet: what is needed on the roof, on one or two pages; printed, saved as PDF, and ticked off here. */
export function PaperView(props: Props) {
  const { plan, catalogue, rowId, onCommand } = props;
  const { settings, lengths } = usePreferences();
  const [format, setFormat] = useState<'a4' | 'letter'>(settings.region === 2 ? 'letter' : 'a4');
  const [allowances, setAllowances] = useState<Allowances>({
    eachEndM: 0.1,
    dripLoopM: 0.3,
    serviceLoopM: 0.5,
  });
  const [saving, setSaving] = useState<'no' | 'saving' | 'failed'>('no');
  const pages = useRef<HTMLDivElement>(null);
  const drawing = useRef<HTMLDivElement>(null);
  const answer = useRunSheet(plan, catalogue, rowId, allowances);
  const sheet = answer.data;
  const done = new Set(plan.document.done ?? []);

  async function pdf() {
    setSaving('saving');
    try {
      const drawn = [...(pages.current?.querySelectorAll<HTMLElement>('[data-page]') ?? [])];
      await savePdf(drawn, format, `${plan.name}.pdf`);
      setSaving('no');
    } catch {
      setSaving('failed');
    }
  }

  if (!sheet) {
    return (
      <p role="status" className="px-4 py-6 text-soft">
        {answer.isError ? `${capital(answer.error.message)}.` : 'Laying out the sheet …'}
      </p>
    );
  }
  const fitting = fittingOf(props, sheet, lengths, settings.temperatures === 'FAHRENHEIT');
  const parts = stepsOf(fitting);
  return (
    <div className="min-h-0 flex-1 overflow-auto print:overflow-visible">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hairline px-4 py-1.5 print:hidden">
        <button type="button" className="action" onClick={() => window.print()}>
          Print
        </button>
        <button
          type="button"
          className="quiet"
          disabled={saving === 'saving'}
          onClick={() => void pdf()}
        >
          {saving === 'saving' ? 'writing the PDF …' : 'PDF file'}
        </button>
        <a className="quiet" href={`/api/transfers/plans/${props.planId}`} download>
          plan as a file
        </a>
        <span className="inline-flex items-baseline gap-2">
          <span className="text-soft">drawing:</span>
          <SaveDrawing name={plan.name} drawn={drawing} />
        </span>
        <Toggle
          label="paper"
          value={format}
          options={[
            ['a4', 'A4'],
            ['letter', 'Letter'],
          ]}
          onChange={setFormat}
        />
        <span className="flex flex-wrap items-baseline gap-x-3">
          <span className="text-soft">cut longer by</span>
          {ALLOWANCES.map(([name, text]) => (
            <span key={name} className="inline-flex items-baseline gap-1">
              <QuantityField
                label={`allowance for ${text}`}
                keptAs={`paper ${name}`}
                kind="length"
                unit={lengths}
                unitLabel={lengths}
                value={allowances[name]}
                show={(v) => lengthFigure(v, lengths)}
                say={(v) => lengthText(v, lengths)}
                onCommit={(m) => setAllowances({ ...allowances, [name]: m })}
              />
              <span className="text-soft">{text}</span>
            </span>
          ))}
        </span>
        {saving === 'failed' && (
          <span role="alert" className="text-fail">
            The PDF could not be written; print, and choose a file there.
          </span>
        )}
      </div>
      <div className="flex flex-col min-[1200px]:flex-row print:block">
        <div
          ref={pages}
          role="region"
          aria-label="pages, to be scrolled"
          tabIndex={0}
          className="flex flex-col items-start gap-4 overflow-x-auto p-4 print:block print:p-0 min-[1200px]:shrink-0"
        >
          <FirstPage {...props} sheet={sheet} format={format} drawing={drawing} />
          <SecondPage
            {...props}
            sheet={sheet}
            format={format}
            parts={parts}
            done={done}
            fitting={fitting}
          />
        </div>
        <Checklist parts={parts} done={done} onCommand={onCommand} />
      </div>
    </div>
  );
}

function fittingOf(
  { plan, catalogue, connectors, focus }: Props,
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
    sends: powerOn(plan, bandsOf(plan)[focus]) !== null,
    fahrenheit,
  };
}
