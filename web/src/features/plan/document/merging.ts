import type { Plan } from './model';
import { canonical } from './model';
import type { Piece } from './pieces';
import { differingPieces } from './pieces';

/** Two versions of a plan in one. */
export interface Merged {
  plan: Plan;
  /** What the others changed, in words. */
  theirs: string[];
}

/**
 * What both have made of one version, where no part was changed by both in two ways; null where one was: somebody has to
 * choose.
 */
export function merged(base: Plan, mine: Plan, theirs: Plan): Merged | null {
  const changed = differingPieces(base, theirs);
  const own = differingPieces(base, mine);
  const isClash = (p: Piece) =>
    changed.some((c) => c.key === p.key) && canonical(p.take(mine, theirs)) !== canonical(mine);
  const plan = taken(own, mine, theirs);
  // what no part stands for is not thrown away
  const isWhole = canonical(taken(own, mine, base)) === canonical(mine);
  return own.some(isClash) || !isWhole ? null : { plan, theirs: changed.map((p) => p.label) };
}

/** A step of one's own as it is now that others have changed what it went out from. */
export function rebased(base: Plan, step: Plan, theirs: Plan): Plan {
  return taken(differingPieces(base, step), step, theirs);
}

function taken(pieces: Piece[], from: Plan, into: Plan): Plan {
  return pieces.reduce((plan, p) => p.take(plan, from), into);
}
