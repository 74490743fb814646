import type { Schemas } from '../../api';

type Run = NonNullable<Schemas['AssessmentSpec']['run']>;

/** A stretch of a plan's run, between two distances from the radio. */
export interface Stretch {
  name: string;
  fromM: number;
  toM: number;
}

/** What stands between the lines of a run, and how far from the radio. */
export interface Place {
  name: string;
  atM: number;
}

/** A run as distances: its lines one after the other, and what is between them. */
export function alongRun(
  run: Run,
  nameOfCable: (key: string) => string,
): { lines: Stretch[]; places: Place[]; lengthM: number } {
  const lines: Stretch[] = [];
  const places: Place[] = [];
  let at = 0;
  // of a run that forks the first way
  const [branch] = run.flatMap((e) => (e.kind !== 'FORK' && e.branch ? [e.branch] : []));
  for (const element of run) {
    if (element.kind !== 'FORK' && element.branch && element.branch !== branch) continue;
    if (element.kind === 'LINE') {
      const to = at + (element.lengthM ?? 0);
      lines.push({
        name: element.cableKey ? nameOfCable(element.cableKey) : 'a cable',
        fromM: at,
        toM: to,
      });
      at = to;
    } else {
      places.push({
        name: element.kind === 'DEVICE' ? (element.name ?? 'device') : element.kind.toLowerCase(),
        atM: at,
      });
    }
  }
  return { lines, places, lengthM: at };
}
