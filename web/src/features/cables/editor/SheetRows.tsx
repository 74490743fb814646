import type { SheetText } from '../../../api';
import { fixed, frequencyText, per100, significant, unitsBeside } from '../../../units';
import { slipSentence, understoodSentence } from '../../../words';

/** Lines that are no rows, apart from those that were meant as one. */
function LinesOfWords({ lines }: { lines: SheetText['skipped'] }) {
  if (lines.length === 0) return null;
  return (
    <details className="text-fine text-soft">
      <summary>
        {lines.length === 1 ? '1 line is no row' : `${lines.length} lines are no rows`}
      </summary>
      <ul>
        {lines.map((s) => (
          <li key={s.line}>
            {s.line}: {s.text}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** What was understood of a copied table, what may be wrong with it, and each row with its distance from the curve. */
export function SheetRows({
  read,
  isOld,
  leftOut,
  onLeaveOut,
  onPer100Ft,
}: {
  read: SheetText;
  /** Whether the text has changed since. */
  isOld: boolean;
  /** Lines that are not taken. */
  leftOut: ReadonlySet<number>;
  onLeaveOut: (line: number) => void;
  onPer100Ft: () => void;
}) {
  return (
    <div className={isOld ? 'opacity-45' : ''}>
      <p role="status">{understoodSentence(read)}</p>
      {read.findings.map((f) => (
        <p key={`${f.slip} ${f.row}`} className="text-marginal">
          {slipSentence(f, read)}
          {f.slip === 'PER_100_FT' && (
            <button type="button" className="quiet ml-1" onClick={onPer100Ft}>
              Take it per 100 ft
            </button>
          )}
        </p>
      ))}
      {read.skipped
        .filter((s) => s.isRow)
        .map((s) => (
          <p key={s.line} className="text-fine text-marginal">
            Line {s.line} was not understood, “{s.text}”: {s.why}.
          </p>
        ))}
      <LinesOfWords lines={read.skipped.filter((s) => !s.isRow)} />
      <table className="mt-1 text-fine whitespace-nowrap">
        <thead className="text-small text-soft">
          <tr className="text-right [&>th]:px-2 [&>th]:font-normal">
            <th scope="col">frequency</th>
            <th scope="col">{unitsBeside().loss}</th>
            <th scope="col">off the curve</th>
            <th scope="col">
              <span className="sr-only">taken</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {read.rows.map((r) => (
            <tr
              key={r.line}
              className={`text-right [&>td]:px-2 ${leftOut.has(r.line) ? 'text-soft line-through' : ''}`}
            >
              <td className="figures">{frequencyText(r.frequencyMHz)}</td>
              <td className="figures">{significant(per100(r.attenuationDbPer100m))}</td>
              <td className="figures">{fixed(-100 * r.relativeResidual, 1)} %</td>
              <td>
                <button
                  type="button"
                  className="quiet text-small"
                  aria-label={`${leftOut.has(r.line) ? 'Take' : 'Leave out'} ${frequencyText(r.frequencyMHz)}`}
                  onClick={() => onLeaveOut(r.line)}
                >
                  {leftOut.has(r.line) ? 'Take it' : 'Leave it out'}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
