import { frequencyText, plain, powerText, temperatureText } from '../../../units';
import { words } from '../../../words';
import { phraseOf } from '../requirements/asked';
import { loadText } from '../bands/loads';
import type { Assessment, Plan } from './model';
import {
  bandName,
  bandsOf,
  canonical,
  ownCablesOf,
  preferenceOf,
  radioOf,
  requirementsOf,
  runOf,
  timesOf,
} from './model';

/** A part of a plan that can be taken from either of two versions. */
export interface Piece {
  key: string;
  label: string;
  /** What a version says here, in words. */
  tell: (plan: Plan) => string;
  /** A plan with this part taken from another. */
  take: (plan: Plan, from: Plan) => Plan;
}

const ASSESSED = (key: keyof Assessment) => (plan: Plan, from: Plan) => ({
  ...plan,
  document: {
    ...plan.document,
    assessment: { ...plan.document.assessment, [key]: from.document.assessment?.[key] },
  },
});

const ASKED =
  (key: 'requirements' | 'candidates' | 'preference' | 'purchase' | 'done') =>
  (plan: Plan, from: Plan) => ({
    ...plan,
    document: { ...plan.document, [key]: from.document[key] },
  });

export const PIECES: readonly Piece[] = [
  {
    key: 'name',
    label: 'name and site',
    tell: (plan) => [plan.name, plan.site].filter(Boolean).join(', '),
    take: (plan, from) => ({ ...plan, name: from.name, site: from.site }),
  },
  {
    key: 'radio',
    label: 'radio',
    tell: (plan) => (radioOf(plan).powerW ? powerText(radioOf(plan).powerW ?? 0) : 'receiver'),
    take: ASSESSED('radio'),
  },
  {
    key: 'run',
    label: 'run',
    tell: tellRun,
    take: (plan, from) => {
      const taken = ASSESSED('run')(plan, from);
      return { ...taken, document: { ...taken.document, picked: from.document.picked } };
    },
  },
  {
    key: 'bands',
    label: 'bands',
    tell: (plan) =>
      bandsOf(plan)
        .map((b) => `${bandName(b)} (${frequencyText(b.frequencyMHz ?? 0)}, ${loadText(b.load)})`)
        .join('; '),
    take: ASSESSED('bands'),
  },
  {
    key: 'day',
    label: 'temperature of the day',
    tell: (plan) => temperatureText(plan.document.assessment?.ambientC ?? 20, false),
    take: ASSESSED('ambientC'),
  },
  {
    key: 'joints',
    label: 'joints lose',
    tell: (plan) => {
      const flat = plan.document.assessment?.flatJointLossDb;
      return flat === undefined ? 'what is typical' : `${plain(flat)} dB each`;
    },
    take: ASSESSED('flatJointLossDb'),
  },
  {
    key: 'surroundings',
    label: 'noise and limits',
    tell: (plan) => {
      const { receiver, exposure } = plan.document.assessment ?? {};
      return [
        `noise of ${words.environment[receiver?.environment ?? 'RESIDENTIAL']}`,
        words.limits[exposure?.limits ?? 'ICNIRP_2020'],
      ].join(', ');
    },
    take: (plan, from) => ASSESSED('exposure')(ASSESSED('receiver')(plan, from), from),
  },
  { key: 'asked', label: 'what is asked', tell: tellAsked, take: ASKED('requirements') },
  {
    key: 'bought',
    label: 'how it is bought',
    tell: (plan) => {
      const end = plan.document.purchase?.readyMadeEnd;
      return `${timesOf(plan)} ×, ends ${end ? `ready-made at ${plain(end.amount)} ${end.currency}` : 'fitted by the operator'}`;
    },
    take: ASKED('purchase'),
  },
  {
    key: 'own',
    label: 'figures of my own',
    tell: (plan) =>
      ownCablesOf(plan)
        .map((c) => c.name)
        .join(', ') || 'none',
    take: ASKED('candidates'),
  },
  {
    key: 'order',
    label: 'order of the rows',
    tell: (plan) => words.preference[preferenceOf(plan)],
    take: ASKED('preference'),
  },
  {
    key: 'done',
    label: 'steps ticked',
    tell: (plan) => `${plan.document.done?.length ?? 0}`,
    take: ASKED('done'),
  },
];

/** The parts in which two versions differ. */
export function differingPieces(mine: Plan, theirs: Plan): Piece[] {
  return PIECES.filter((p) => canonical(p.take(mine, theirs)) !== canonical(mine));
}

function tellRun(plan: Plan): string {
  return runOf(plan)
    .map((e) =>
      e.kind === 'LINE'
        ? `${e.cableKey ?? e.name ?? 'cable'} ${plain(e.lengthM ?? 0)} m`
        : ('connectorKey' in e && e.connectorKey) || e.kind.toLowerCase(),
    )
    .join(' – ');
}

function tellAsked(plan: Plan): string {
  const asked = requirementsOf(plan).map((r) => {
    const band = bandsOf(plan).find((b) => b.id !== undefined && b.id === r.bandId);
    const on = band ? ` on ${bandName(band)}` : '';
    return `${phraseOf(r)}${on}${r.off ? ' (put aside)' : ''}`;
  });
  return asked.join('; ') || 'nothing';
}
