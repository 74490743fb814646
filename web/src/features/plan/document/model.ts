import { newId } from '../../../ui/newId';
import { frequencyText } from '../../../units';
import type { ComparisonRequest, Schemas, StoredPlan } from '../../../api';

export type Document = Schemas['PlanDocument'];
export type Element = NonNullable<Schemas['AssessmentSpec']['run']>[number];
export type Line = Extract<Element, { kind: 'LINE' }>;
export type Joint = Extract<Element, { kind: 'JOINT' }>;
export type Band = Schemas['BandSpec'];
export type Radio = Schemas['RadioSpec'];
export type Assessment = NonNullable<Document['assessment']>;
export type Requirement = Schemas['RequirementSpec'];
export type OwnCable = Schemas['CandidateSpec'];
export type Preference = NonNullable<Document['preference']>;
export type Matching = NonNullable<Band['matching']>;
export type Purchase = NonNullable<Document['purchase']>;
export type Use = NonNullable<Document['use']>;

/** A plan as it is edited: the stored document with everything in place that the sheet shows. */
export interface Plan {
  site: string;
  name: string;
  document: Document;
}

/** A plan as text that is the same whenever it says the same, in whatever order its fields came back. */
export function canonical(plan: Plan): string {
  return JSON.stringify(
    { site: plan.site, name: plan.name, document: plan.document },
    (_, value) =>
      value && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
        : value,
  );
}

export const MOST_BANDS = 12;
export const MOST_ELEMENTS = 64;

/** Radios bring a matching unit of their own up to here, and none above. */
const HIGHEST_TUNED_MHZ = 54;

export function planOf(stored: StoredPlan): Plan {
  return { site: stored.site, name: stored.name, document: stored.document };
}

export function runOf(plan: Plan): Element[] {
  return plan.document.assessment?.run ?? [];
}

/** Index of the cable that is up for choice, where a walk along the run begins. */
export function cableOf(run: Element[]): number {
  return run.findIndex((e) => e.kind === 'LINE' && e.candidate);
}

export function bandsOf(plan: Plan): Band[] {
  return plan.document.assessment?.bands ?? [];
}

export function radioOf(plan: Plan) {
  return plan.document.assessment?.radio ?? {};
}

/** Everything that is asked, put aside or not. */
export function requirementsOf(plan: Plan): Requirement[] {
  return plan.document.requirements ?? [];
}

/** Whether anything is asked that is not put aside. */
export function isAnythingAsked(plan: Plan): boolean {
  return requirementsOf(plan).some((r) => !r.off);
}

/**
 * Whether what lies in the run was picked by hand; else the plan follows the ledger. A document of an earlier version
 * does not say: there a choice that stands has laid its cable into the run.
 */
export function isPicked(plan: Plan, isChosen: boolean): boolean {
  return (plan.document.picked ?? isChosen) || !isAnyUpForChoice(runOf(plan));
}

/** Whether a run leaves any of its lines to the ledger. */
function isAnyUpForChoice(run: Element[]): boolean {
  return run.some((e) => e.kind === 'LINE' && e.candidate);
}

/** In a run whose cables all stay, the longest line is what its ledger speaks of. */
function withSomethingUpForChoice(run: Element[]): Element[] {
  if (isAnyUpForChoice(run)) return run;
  const lines = run.filter((e): e is Line => e.kind === 'LINE' && e.lengthM !== undefined);
  const [longest] = lines.toSorted((a, b) => (b.lengthM ?? 0) - (a.lengthM ?? 0));
  return run.map((e) => (e === longest ? { ...longest, candidate: true } : e));
}

/** How often the run is bought. */
export function timesOf(plan: Plan): number {
  return plan.document.purchase?.times ?? 1;
}

export function ownCablesOf(plan: Plan): OwnCable[] {
  return (plan.document.candidates ?? []).filter((c) => c.cable !== undefined);
}

export function preferenceOf(plan: Plan): Preference {
  return plan.document.preference ?? 'LEAST_COST';
}

/** Length of the sections that a comparison replaces, in m. */
export function candidateLengthM(plan: Plan): number {
  return runOf(plan)
    .filter((e): e is Line => e.kind === 'LINE' && e.candidate === true)
    .reduce((sum, line) => sum + (line.lengthM ?? 0), 0);
}

/** Power on a band: its own, or the radio's; null for a receiver. */
export function powerOn(plan: Plan, band: Band | undefined): number | null {
  return band?.powerW ?? radioOf(plan).powerW ?? null;
}

/** Where the matching unit stands on a band: as the band says, or the radio. */
export function matchingOn(plan: Plan, band: Band | undefined): Matching {
  return band?.matching ?? radioOf(plan).matching ?? 'AT_RADIO';
}

export function matchingLossOn(plan: Plan, band: Band | undefined): number {
  return band?.matchingLossDb ?? radioOf(plan).matchingLossDb ?? 0;
}

/** Average over peak power on a band. */
export function dutyOn(plan: Plan, band: Band | undefined): number {
  return band?.duty ?? radioOf(plan).duty ?? 1;
}

export function usualMatching(frequencyMHz: number): Matching {
  return frequencyMHz <= HIGHEST_TUNED_MHZ ? 'AT_RADIO' : 'NONE';
}

/** Versions count from 0, revisions on paper from 1. */
export function revisionNumber(version: number): number {
  return version + 1;
}

/** What a band is called: its own name, or its frequency. */
export function bandName(band: Band | undefined): string {
  return band?.name || (band?.frequencyMHz ? frequencyText(band.frequencyMHz) : 'a band');
}

/** The ledger that a plan asks for, with the elements of some of its cells. */
export function comparisonOf(
  plan: Plan,
  tolerance: ComparisonRequest['tolerance'],
  details: NonNullable<ComparisonRequest['details']>,
): ComparisonRequest {
  const own = ownCablesOf(plan);
  return {
    ...plan.document.assessment,
    run: withSomethingUpForChoice(runOf(plan)),
    requirements: requirementsOf(plan),
    ...(plan.document.purchase && { purchase: plan.document.purchase }),
    tolerance,
    preference: preferenceOf(plan),
    candidates: own,
    wholeCatalogue: true,
    details,
  };
}

export function band(name: string, frequencyMHz: number): Band {
  return {
    id: newId(),
    ...(name && { name }),
    frequencyMHz,
    matching: usualMatching(frequencyMHz),
    load: { swr: 1.5 },
  };
}
