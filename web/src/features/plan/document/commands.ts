import type { Fork } from './branches';
import { forked, settled, unforked } from './branches';
import type {
  Assessment,
  Band,
  Document,
  Element,
  Matching,
  OwnCable,
  Plan,
  Preference,
  Purchase,
  Radio,
  Requirement,
} from './model';
import {
  bandsOf,
  MOST_ELEMENTS,
  ownCablesOf,
  powerOn,
  radioOf,
  requirementsOf,
  runOf,
} from './model';
import { newId } from '../../../ui/newId';

/**
 * A command, and for one that speaks of the cable that is drawn the run with that cable in it: where the plan follows the
 * ledger, the cable is picked with it.
 */
export type Command = Step & { drawn?: Element[] };

/** Everything that can be done to a plan on its sheet. One command is one step of undo. */
type Step =
  | { do: 'takeVersion'; plan: Plan }
  | { do: 'rename'; name: string }
  | { do: 'moveToSite'; site: string }
  | { do: 'setAmbient'; ambientC: number }
  | { do: 'setWeather'; wet: boolean }
  | { do: 'setLength'; element: number; lengthM: number; stroke?: string }
  | { do: 'changeElement'; element: number; to: Element }
  | { do: 'addElements'; at: number; elements: Element[] }
  | { do: 'fork'; at: number; fork: Fork }
  | { do: 'moveElement'; from: number; to: number }
  | { do: 'removeElement'; element: number }
  | { do: 'duplicateElement'; element: number }
  | { do: 'listen'; receiver: Assessment['receiver'] }
  | { do: 'keepAway'; exposure: Assessment['exposure'] }
  | { do: 'chargeJoints'; flatLossDb: number | null }
  | { do: 'offerLine'; element: number; offered: boolean }
  | { do: 'splitLine'; element: number; atM: number }
  | { do: 'addBand'; band: Band }
  | { do: 'removeBand'; band: number }
  | { do: 'renameBand'; band: number; name: string }
  | {
      do: 'setFrequency';
      band: number;
      frequencyMHz: number;
      matching: Matching;
      /** Undefined for what is called by its frequency. */
      name: string | undefined;
    }
  | { do: 'readAnew'; band: number }
  | { do: 'setMatching'; band: number; matching: Matching }
  | { do: 'changeBand'; band: number; change: Partial<Band> }
  | { do: 'setLoads'; loads: (Band['load'] | null)[] }
  | { do: 'changeRadio'; change: Partial<Radio> }
  | { do: 'askMore'; requirement: Requirement }
  | { do: 'changeAsked'; asked: number; to: Requirement }
  | { do: 'dropAsked'; asked: number }
  | { do: 'easeAsked'; to: ReadonlyMap<number, Requirement> }
  | { do: 'buy'; purchase: Purchase }
  | { do: 'pick'; run: Element[] }
  | { do: 'followLedger' }
  | { do: 'tick'; step: string; done: boolean }
  | { do: 'prefer'; preference: Preference }
  | { do: 'putOwnCable'; cable: OwnCable }
  | { do: 'removeOwnCable'; id: string };

/** The plan after a command; the plan before it is left as it was. */
export function apply(plan: Plan, command: Command): Plan {
  const before = command.drawn ? picked(plan, command.drawn) : plan;
  const after = applied(before, command);
  return command.do === 'takeVersion' ? after : withReadingsKept(before, after);
}

function picked(plan: Plan, run: Element[]): Plan {
  return withDocument(withRun(plan, run), { picked: true });
}

function applied(plan: Plan, command: Command): Plan {
  switch (command.do) {
    case 'takeVersion':
      return command.plan;
    case 'rename':
      return { ...plan, name: command.name };
    case 'moveToSite':
      return { ...plan, site: command.site };
    case 'setLength':
      return withElement(plan, command.element, (e) =>
        // a piece of the locker is as long as it is
        e.kind === 'LINE' && !e.pieceId ? { ...e, lengthM: command.lengthM } : e,
      );
    case 'setAmbient':
      return withAssessment(plan, { ambientC: command.ambientC });
    case 'setWeather':
      return withAssessment(plan, { wet: command.wet });
    case 'changeElement':
      return withElement(plan, command.element, () => command.to);
    case 'addElements':
      return withRun(
        plan,
        runOf(plan)
          .toSpliced(command.at, 0, ...command.elements)
          .slice(0, MOST_ELEMENTS),
      );
    case 'fork':
      return forked(plan, command.at, command.fork);
    case 'moveElement':
      return moveElement(plan, command.from, command.to);
    case 'removeElement':
      return runOf(plan)[command.element]?.kind === 'FORK'
        ? unforked(plan, command.element)
        : withRun(plan, runOf(plan).toSpliced(command.element, 1));
    case 'duplicateElement':
      return withRun(
        plan,
        runOf(plan).flatMap((e, i) => (i === command.element ? [e, { ...e, id: newId() }] : [e])),
      );
    case 'listen':
      return withAssessment(plan, { receiver: command.receiver });
    case 'keepAway':
      return withAssessment(plan, { exposure: command.exposure });
    case 'chargeJoints':
      return withAssessment(plan, { flatJointLossDb: command.flatLossDb ?? undefined });
    case 'offerLine':
      return withElement(plan, command.element, (e) =>
        e.kind === 'LINE' ? { ...e, candidate: command.offered } : e,
      );
    case 'splitLine':
      return splitLine(plan, command.element, command.atM);
    case 'addBand':
      return withAssessment(plan, { bands: [...bandsOf(plan), command.band] });
    case 'removeBand':
      return removeBand(plan, command.band);
    case 'renameBand':
      return withBand(plan, command.band, { name: command.name });
    case 'setFrequency':
      return withBand(plan, command.band, {
        frequencyMHz: command.frequencyMHz,
        matching: command.matching,
        name: command.name,
      });
    case 'readAnew':
      return withBand(plan, command.band, {
        load: { ...bandsOf(plan)[command.band]?.load, through: undefined },
      });
    case 'setMatching':
      return withBand(plan, command.band, { matching: command.matching });
    case 'changeBand':
      return withBand(plan, command.band, command.change);
    case 'setLoads':
      return withAssessment(plan, {
        bands: bandsOf(plan).map((b, i) => ({ ...b, load: command.loads[i] ?? b.load })),
      });
    case 'changeRadio':
      return inWattsOnlyIfAny(
        withAssessment(plan, { radio: { ...radioOf(plan), ...command.change } }),
      );
    case 'askMore':
      return withDocument(plan, { requirements: [...requirementsOf(plan), command.requirement] });
    case 'changeAsked':
      return withDocument(plan, {
        requirements: requirementsOf(plan).with(command.asked, command.to),
      });
    case 'easeAsked':
      return withDocument(plan, {
        requirements: requirementsOf(plan).map((r, i) => command.to.get(i) ?? r),
      });
    case 'dropAsked':
      return withDocument(plan, {
        requirements: requirementsOf(plan).toSpliced(command.asked, 1),
      });
    case 'buy':
      return withDocument(plan, { purchase: command.purchase });
    case 'pick':
      return picked(plan, command.run);
    case 'followLedger':
      return withDocument(plan, { picked: false });
    case 'tick': {
      const others = (plan.document.done ?? []).filter((s) => s !== command.step);
      return withDocument(plan, { done: command.done ? [...others, command.step] : others });
    }
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
      return command.do;
    case 'changeAsked':
      return `${command.do} ${command.asked}`;
    case 'setAmbient':
    case 'chargeJoints':
    case 'listen':
    case 'keepAway':
    case 'buy':
      return command.do;
    case 'setLength':
      return `${command.do} ${command.element} ${command.stroke ?? ''}`;
    case 'changeElement':
      return `${command.do} ${command.element}`;
    case 'renameBand':
    case 'setFrequency':
      return `${command.do} ${command.band}`;
    case 'changeBand':
      return `${command.do} ${command.band} ${Object.keys(command.change).join()}`;
    case 'changeRadio':
      return `${command.do} ${Object.keys(command.change).join()}`;
    default:
      return null;
  }
}

/** Whether a command speaks of the cable in the sections itself, and not only of where it lies. */
export function isAboutTheCable(command: Command): boolean {
  return (
    command.do === 'changeElement' ||
    command.do === 'offerLine' ||
    (command.do === 'changeBand' && command.change.load?.swrAtRadio !== undefined) ||
    command.do === 'readAnew'
  );
}

/** Whether a command is part of one drag, which is one step however long the hand rests. */
export function isStroke(command: Command): boolean {
  return command.do === 'setLength' && command.stroke !== undefined;
}

function withDocument(plan: Plan, change: Partial<Document>): Plan {
  return { ...plan, document: { ...plan.document, ...change } };
}

function withAssessment(plan: Plan, change: NonNullable<Document['assessment']>): Plan {
  return withDocument(plan, { assessment: { ...plan.document.assessment, ...change } });
}

function withRun(plan: Plan, run: Element[]): Plan {
  return withAssessment(plan, { run });
}

/**
 * An SWR read at the radio belongs to the run it was read through: where the run becomes another one, the reading keeps the
 * old one, and the antenna stays what it is.
 */
function withReadingsKept(before: Plan, after: Plan): Plan {
  const through = asHung(runOf(before));
  if (JSON.stringify(through) === JSON.stringify(asHung(runOf(after)))) return after;
  const isNew = (band: Band) =>
    band.load?.swrAtRadio !== undefined && band.load.through === undefined;
  return bandsOf(after).some(isNew)
    ? withAssessment(after, {
        bands: bandsOf(after).map((b) => (isNew(b) ? { ...b, load: { ...b.load, through } } : b)),
      })
    : after;
}

/** A run as it hung on a day, without what only choosing needs. */
function asHung(run: Element[]): Element[] {
  return run.map((e) => (e.kind === 'LINE' ? { ...e, candidate: undefined } : e));
}

/** Takes an element out and puts it in again so that it ends at the index given. */
function moveElement(plan: Plan, from: number, to: number): Plan {
  const run = runOf(plan);
  const moved = run[from];
  return moved && to >= 0 && to < run.length
    ? withRun(plan, settled(run.toSpliced(from, 1).toSpliced(to, 0, moved)))
    : plan;
}

/** One line becomes two of the same cable, as long together. */
function splitLine(plan: Plan, index: number, atM: number): Plan {
  return withRun(
    plan,
    runOf(plan).flatMap((e, i) => {
      const lengthM = e.kind === 'LINE' ? (e.lengthM ?? 0) : 0;
      if (i !== index || e.kind !== 'LINE' || atM <= 0 || atM >= lengthM) return [e];
      const rest = Number((lengthM - atM).toFixed(6));
      return [
        { ...e, lengthM: atM },
        { ...e, id: newId(), lengthM: rest },
      ];
    }),
  );
}

function withElement(plan: Plan, index: number, change: (e: Element) => Element): Plan {
  return withAssessment(plan, { run: runOf(plan).map((e, i) => (i === index ? change(e) : e)) });
}

function withBand(plan: Plan, index: number, change: Partial<Band>): Plan {
  return withAssessment(plan, {
    bands: bandsOf(plan).map((b, i) => (i === index ? { ...b, ...change } : b)),
  });
}

/** What was asked of a band goes with it. */
function removeBand(plan: Plan, index: number): Plan {
  const gone = bandsOf(plan)[index];
  const left = withAssessment(plan, { bands: bandsOf(plan).toSpliced(index, 1) });
  return withDocument(left, {
    requirements: requirementsOf(plan).filter((r) => !r.bandId || r.bandId !== gone?.id),
  });
}

/** A receiver has no watts to ask for: half of what is there stands in their place, and nothing is heated. */
function inWattsOnlyIfAny(plan: Plan): Plan {
  const isReceiver = bandsOf(plan).some((b) => powerOn(plan, b) === null);
  return isReceiver
    ? withDocument(plan, {
        requirements: requirementsOf(plan)
          .filter((r) => r.kind !== 'LEAST_POWER_MARGIN' && r.kind !== 'LEAST_VOLTAGE_MARGIN')
          .map((r) => (r.kind === 'LEAST_POWER' ? { kind: 'LEAST_PERCENT', percent: 50 } : r)),
      })
    : plan;
}

function putOwnCable(plan: Plan, cable: OwnCable): Plan {
  const others = plan.document.candidates ?? [];
  const known = ownCablesOf(plan).some((c) => c.id === cable.id);
  return withDocument(plan, {
    candidates: known ? others.map((c) => (c.id === cable.id ? cable : c)) : [...others, cable],
  });
}
