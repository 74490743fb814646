import type { ComparisonRequest, FoundKit, Schemas } from '../../../api';
import { withoutNulls } from '../../../api';
import type { Element, Line, Plan } from '../document/model';
import { runOf } from '../document/model';
import { newId } from '../../../ui/newId';

/** What a plan would have made of owned pieces: its one section that is up for choice; null where there is not one. */
export function kitsWanted(
  plan: Plan,
  comparison: ComparisonRequest,
): Schemas['KitSearchRequest'] | null {
  const run = runOf(plan);
  const at = run.findIndex(isChosen);
  const line = run[at] as Line | undefined;
  if (!line?.lengthM || run.filter(isChosen).length !== 1 || line.pieceId) return null;
  return {
    comparison: { ...comparison, candidates: [] },
    radio: socketAt(run[at - 1]),
    antenna: socketAt(run[at + 1]),
  };
}

function isChosen(element: Element): boolean {
  return element.kind === 'LINE' && element.candidate === true;
}

/** Radios, antennas and devices carry sockets; a joint beside the section tells which. */
function socketAt(element: Element | undefined): Schemas['EndRequest'] | undefined {
  return element?.kind === 'JOINT' && element.connectorKey
    ? { connectorKey: element.connectorKey, gender: 'SOCKET' }
    : undefined;
}

/** The run with a kit in it; what was there before keeps its id. */
export function runWith(plan: Plan, kit: FoundKit): Element[] {
  const before = runOf(plan);
  const used = new Set<string>();
  return kit.run.map((found) => {
    const element = withoutNulls(found as Element);
    const same = before.find((e) => e.id !== undefined && e.id === element.id);
    if (same?.id && !used.has(same.id)) {
      used.add(same.id);
      return same;
    }
    return { ...element, id: newId() };
  });
}

/** What a kit is called: its pieces from the radio on. */
export function kitName(kit: FoundKit): string {
  return kit.pieces.map((p) => p.label).join(' + ');
}

/** The kit that is told first: one that passes with the least loss, or else the one that loses least. */
export function bestFirst(kits: readonly FoundKit[]): FoundKit[] {
  const weight = { PASS: 0, MARGINAL: 1, FAIL: 2 };
  return [...kits].sort(
    (a, b) => weight[a.row.verdict] - weight[b.row.verdict] || a.lossDb - b.lossDb,
  );
}

const LONGEST_NAME = 80;

/** What goes into the bag for a kit: a spare piece where there is one, and one adapter more of each kind. */
export function packed(kit: FoundKit, name: string): Schemas['KitRequest'] {
  return {
    id: crypto.randomUUID(),
    name: name.slice(0, LONGEST_NAME),
    pieces: [
      ...kit.pieces.map((p) => ({ pieceId: p.pieceId, turned: p.turned })),
      ...(kit.spare ? [{ pieceId: kit.spare.pieceId, spare: true }] : []),
    ],
    adapters: kit.adapters.flatMap(({ near, far, count }) =>
      Array.from({ length: count + 1 }, () => ({ near, far })),
    ),
  };
}
