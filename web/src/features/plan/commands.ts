import type {
  Band,
  Document,
  Element,
  Matching,
  OwnCable,
  Plan,
  Preference,
  Requirement,
} from './model';
import { bandsOf, ownCablesOf, runOf } from './model';

/** Everything that can be done to a plan on its sheet. One command is one step of undo. */
export type Command =
  | { do: 'takeVersion'; plan: Plan }
  | { do: 'rename'; name: string }
  | { do: 'moveToSite'; site: string }
  | { do: 'setPower'; powerW: number }
  | { do: 'setLength'; element: number; lengthM: number }
  | { do: 'setConnector'; element: number; connectorKey: string }
  | { do: 'putInRun'; cable: { cableKey: string } | OwnCable }
  | { do: 'addBand'; band: Band }
  | { do: 'removeBand'; band: number }
  | { do: 'renameBand'; band: number; name: string }
  | { do: 'setFrequency'; band: number; frequencyMHz: number; matching: Matching }
  | { do: 'setMatching'; band: number; matching: Matching }
  | { do: 'setSwr'; band: number; swr: number }
  | { do: 'ask'; requirement: Requirement | null }
  | { do: 'prefer'; preference: Preference }
  | { do: 'putOwnCable'; cable: OwnCable }
  | { do: 'removeOwnCable'; id: string };

/** The plan after a command; the plan before it is left as it was. */
export function apply(plan: Plan, command: Command): Plan {
  switch (command.do) {
    case 'takeVersion':
      return command.plan;
    case 'rename':
      return { ...plan, name: command.name };
    case 'moveToSite':
      return { ...plan, site: command.site };
    case 'setPower':
      return withAssessment(plan, {
        radio: { ...plan.document.assessment?.radio, powerW: command.powerW },
      });
    case 'setLength':
      return withElement(plan, command.element, (e) =>
        e.kind === 'LINE' ? { ...e, lengthM: command.lengthM } : e,
      );
    case 'setConnector':
      return withElement(plan, command.element, (e) =>
        e.kind === 'JOINT' ? { id: e.id, kind: 'JOINT', connectorKey: command.connectorKey } : e,
      );
    case 'putInRun':
      return putInRun(plan, command.cable);
    case 'addBand':
      return withAssessment(plan, { bands: [...bandsOf(plan), command.band] });
    case 'removeBand':
      return withAssessment(plan, { bands: bandsOf(plan).filter((_, i) => i !== command.band) });
    case 'renameBand':
      return withBand(plan, command.band, { name: command.name });
    case 'setFrequency':
      return withBand(plan, command.band, {
        frequencyMHz: command.frequencyMHz,
        matching: command.matching,
      });
    case 'setMatching':
      return withBand(plan, command.band, { matching: command.matching });
    case 'setSwr':
      return withBand(plan, command.band, { load: { swr: command.swr } });
    case 'ask':
      return withDocument(plan, { requirements: command.requirement ? [command.requirement] : [] });
    case 'prefer':
      return withDocument(plan, { preference: command.preference });
    case 'putOwnCable':
      return putOwnCable(plan, command.cable);
    case 'removeOwnCable':
      return withDocument(plan, {
        candidates: (plan.document.candidates ?? []).filter((c) => c.id !== command.id),
      });
  }
}

/**
 * Commands of one burst are one step of undo: typing 31.5 into one field, or drawing one handle along. Null for commands
 * that always stand alone.
 */
export function burstOf(command: Command): string | null {
  switch (command.do) {
    case 'rename':
    case 'moveToSite':
    case 'setPower':
    case 'ask':
      return command.do;
    case 'setLength':
      return `${command.do} ${command.element}`;
    case 'renameBand':
    case 'setFrequency':
    case 'setSwr':
      return `${command.do} ${command.band}`;
    default:
      return null;
  }
}

function withDocument(plan: Plan, change: Partial<Document>): Plan {
  return { ...plan, document: { ...plan.document, ...change } };
}

function withAssessment(plan: Plan, change: NonNullable<Document['assessment']>): Plan {
  return withDocument(plan, { assessment: { ...plan.document.assessment, ...change } });
}

function withElement(plan: Plan, index: number, change: (e: Element) => Element): Plan {
  return withAssessment(plan, { run: runOf(plan).map((e, i) => (i === index ? change(e) : e)) });
}

function withBand(plan: Plan, index: number, change: Partial<Band>): Plan {
  return withAssessment(plan, {
    bands: bandsOf(plan).map((b, i) => (i === index ? { ...b, ...change } : b)),
  });
}

/** Lays a cable into every section that is up for choice. */
function putInRun(plan: Plan, cable: { cableKey: string } | OwnCable): Plan {
  const source =
    'cableKey' in cable && cable.cableKey
      ? { cableKey: cable.cableKey }
      : { cable: (cable as OwnCable).cable, name: (cable as OwnCable).name };
  return withAssessment(plan, {
    run: runOf(plan).map((e) =>
      e.kind === 'LINE' && e.candidate
        ? { id: e.id, kind: 'LINE', lengthM: e.lengthM, candidate: true, ...source }
        : e,
    ),
  });
}

function putOwnCable(plan: Plan, cable: OwnCable): Plan {
  const others = plan.document.candidates ?? [];
  const known = ownCablesOf(plan).some((c) => c.id === cable.id);
  return withDocument(plan, {
    candidates: known ? others.map((c) => (c.id === cable.id ? cable : c)) : [...others, cable],
  });
}
