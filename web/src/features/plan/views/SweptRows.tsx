import { Select } from '../../../ui';
import { useSheet } from '../sheetContext';
import type { Sweep } from './useSweep';

const MOST_ROWS = 6;

/** Which cables are drawn; one is taken off, another laid over. */
export function SweptRows({ sweep }: { sweep: Sweep }) {
  const { ledger } = useSheet();
  const { rows, setRows } = sweep;
  const others = (ledger?.rows ?? []).filter((r) => !rows.includes(r.id));
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1">
      {rows.map((id) => (
        <span key={id} className="inline-flex items-baseline gap-1">
          {ledger?.rows.find((r) => r.id === id)?.name ?? id}
          <button
            type="button"
            className="quiet min-h-6 min-w-6"
            aria-label={`take ${id} off the drawing`}
            onClick={() => setRows(rows.filter((r) => r !== id))}
          >
            ×
          </button>
        </span>
      ))}
      {rows.length < MOST_ROWS && others.length > 0 && (
        <Select
          label="lay another cable over it"
          placeholder="lay another over it …"
          value=""
          options={others.map((r) => ({ value: r.id, text: r.name }))}
          onChange={(id) => setRows([...rows, id])}
        />
      )}
    </div>
  );
}
