import type { Row } from '../../../api';
import type { Element, Line, OwnCable } from '../document/model';
import { newId } from '../../../ui/newId';

/** The run with a tail of its own at the antenna end of the last section that is up for choice. */
export function withTail(run: Element[], tailM: number, connectorKey: string): Element[] {
  const last = run.findLastIndex((e) => e.kind === 'LINE' && e.candidate);
  const line = run[last] as Line | undefined;
  const lengthM = line?.lengthM ?? 0;
  if (!line || tailM <= 0 || tailM >= lengthM) return run;
  return run.toSpliced(
    last,
    1,
    { ...line, lengthM: Number((lengthM - tailM).toFixed(6)) },
    { id: newId(), kind: 'JOINT', connectorKey },
    { ...line, id: newId(), lengthM: tailM },
  );
}

/** How many sections are up for choice. */
export function sectionsIn(run: Element[]): number {
  return run.filter((e) => e.kind === 'LINE' && e.candidate).length;
}

/** The run with the cables of a row laid into its sections. */
export function laid(run: Element[], row: Row, own: OwnCable[]): Element[] {
  return run.map((e, i) => {
    const source = row.assignment.find((a) => a.element === i)?.source;
    if (e.kind !== 'LINE' || !source) return e;
    const { id, lengthM } = e;
    const line = { id, kind: 'LINE' as const, lengthM, candidate: true };
    if (source.cableKey !== null) return { ...line, cableKey: source.cableKey };
    if (source.pieceId) return e;
    const mine = own.find((c) => c.id === source.candidateId);
    return mine ? { ...line, cable: mine.cable, name: mine.name } : e;
  });
}
