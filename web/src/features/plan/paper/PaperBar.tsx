import { useState } from 'react';
import type { RefObject } from 'react';
import { usePreferences } from '../../../app/preferences';
import { useSession } from '../../../app/session';
import { QuantityField, SaveDrawing, Toggle } from '../../../ui';
import { lengthFigure, lengthText } from '../../../units';
import { useSheet } from '../sheetContext';
import { savePdf } from './pdf';
import { sentences } from '../../../words';
import { SharePanel } from '../sharing/SharePanel';
import { saveShared } from '../sharing/saveShared';

const ALLOWANCES = [
  ['eachEndM', 'each end'],
  ['dripLoopM', 'drip loop'],
  ['serviceLoopM', 'service loop'],
] as const;

type Format = 'a4' | 'letter';

/** Prints the sheet, saves it as PDF or drawing, and says how much longer its pieces are cut. */
export function PaperBar({
  format,
  onFormat,
  pages,
  drawing,
}: {
  format: Format;
  onFormat: (format: Format) => void;
  pages: RefObject<HTMLDivElement | null>;
  drawing: RefObject<HTMLDivElement | null>;
}) {
  const { plan, planId, command } = useSheet();
  const purchase = plan.document.purchase ?? {};
  const { lengths } = usePreferences();
  const { session, may, visitUntil } = useSession();
  const [sharing, setSharing] = useState(false);
  const [saving, setSaving] = useState<'no' | 'saving' | 'failed'>('no');

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

  return (
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
        {saving === 'saving' ? 'writing the PDF …' : 'Save as PDF'}
      </button>
      {visitUntil === null ? (
        <a className="quiet" href={`/api/transfers/plans/${planId}`} download>
          Save the plan as a file
        </a>
      ) : (
        <button type="button" className="quiet" onClick={() => void saveShared(planId, plan.name)}>
          Save the plan as a file
        </button>
      )}
      {session.open && may('MEMBER') && (
        <button type="button" className="quiet" onClick={() => setSharing(true)}>
          Share it by a link …
        </button>
      )}
      {sharing && <SharePanel planId={planId} onClose={() => setSharing(false)} />}
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
        onChange={onFormat}
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
              value={purchase.allowances?.[name] ?? 0}
              show={(v) => lengthFigure(v, lengths)}
              say={(v) => lengthText(v, lengths)}
              onCommit={(m) =>
                command({
                  do: 'buy',
                  purchase: { ...purchase, allowances: { ...purchase.allowances, [name]: m } },
                })
              }
            />
            <span className="text-soft">{text}</span>
          </span>
        ))}
      </span>
      {saving === 'failed' && (
        <span role="alert" className="text-fail">
          {sentences.pdfFailed}
        </span>
      )}
    </div>
  );
}
