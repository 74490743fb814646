import type { Element, Plan } from '../features/plan/document/model';

/** A line of a run, as short as it can be said. */
export function line(change: Partial<Extract<Element, { kind: 'LINE' }>> = {}): Element {
  return { id: 'l', kind: 'LINE', cableKey: 'rg-58', lengthM: 20, candidate: true, ...change };
}

export function joint(change: Partial<Extract<Element, { kind: 'JOINT' }>> = {}): Element {
  return { id: 'j', kind: 'JOINT', connectorKey: 'n', ...change };
}

/** A plan of one run, on 2 m and 70 cm. */
export function planOfRun(run: Element[] = [line()], change: Partial<Plan> = {}): Plan {
  return {
    site: 'Here',
    name: 'Roof',
    document: {
      schemaVersion: 1,
      assessment: {
        radio: { powerW: 50 },
        run,
        bands: [
          { id: 'a', name: '2 m', frequencyMHz: 145, load: { swr: 1.5 } },
          { id: 'b', name: '70 cm', frequencyMHz: 433, load: { swr: 1.5 } },
        ],
      },
    },
    ...change,
  };
}
