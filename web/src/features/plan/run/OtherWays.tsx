import { portsOf } from '../document/branches';
import { bandName, bandsOf, runOf } from '../document/model';
import { useSheet } from '../sheetContext';

/** The other ways that a run goes on behind a fork: each brings a band of that branch into focus. */
export function OtherWays() {
  const { plan, band, focusBand } = useSheet();
  const bands = bandsOf(plan);
  return portsOf(runOf(plan))
    .filter((p) => p.branch !== band?.branch)
    .map((p) => {
      const first = bands.findIndex((b) => b.branch === p.branch);
      const name = p.name ?? p.branch;
      return first < 0 ? (
        <span key={p.branch} className="text-fine text-soft">
          {name}: no band yet
        </span>
      ) : (
        <button
          key={p.branch}
          type="button"
          className="quiet min-h-11 text-fine"
          onClick={() => focusBand(first)}
        >
          Look at {bandName(bands[first])}, {name}
        </button>
      );
    });
}
