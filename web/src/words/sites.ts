/** What the sheet of a site says: of its ducts, of what is bought and cut for all of its runs, of lines in phase. */

import { fixed, plain } from '../units';

export const siteSentences = {
  whatItIs:
    'A site is the name that plans carry. Its sheet shows all of its runs together: what lies in one duct, what hangs on the mast, what is bought and cut for all.',
  noSites: 'No plan carries a site yet. Begin with a plan; its site is typed in its title block.',
  usualShare:
    'More than 40 % of a bore is hard to draw cables through. Local codes have figures of their own for one, two and more cables.',
  ductCaution: 'Keep cables of radios apart from mains in one duct, as local codes ask.',
  diameters: 'Bore and cables at one scale.',
  workIsYours: 'By your own figures for how long it takes you.',
  takeBoth: 'The cables are chosen in the plans; nothing is changed there by looking at this.',
  earthing:
    'Bond shields at the entry, to one earth with the mast, and fit an arrestor to every run that comes from outside. Lightning protection, earthing and work at heights are for local codes and people who are qualified for them.',
  phaseFrom:
    'From the lengths in the plans and the velocity factors of their sheets. Only a sweep of both lines tells what they are.',
  driftIsEstimate:
    'The drift of a line with temperature is an estimate; cables from one reel drift alike.',
  cutLongFirst:
    'Cut both lines a little too long, measure, then trim: a line gets shorter and never longer.',
  sharing:
    'A link for each run: whoever has it sees that run, computes with it and reaches nothing else. They are listed and taken back in each plan, on Paper.',
  notKept: 'what is changed stays in this window',
  keptElsewhere: 'Somebody else changed this sheet meanwhile.',
  cuttingFrom:
    'From the free end of each reel on, the longest first, allowances and reserve included.',
} as const;

/** How full a duct is. */
export function ductSentence(
  duct: { sharePercent: number; mostSharePercent: number; roomMm: number; isOverfilled: boolean },
  diameterText: (mm: number) => string,
): string {
  const taken = `${fixed(duct.sharePercent, 0)} % of the bore is taken, ${plain(duct.mostSharePercent)} % is usual at most`;
  if (duct.isOverfilled) return `${taken}: too full to draw cables through.`;
  return duct.roomMm > 0
    ? `${taken}: room for one more of ${diameterText(duct.roomMm)}.`
    : `${taken}: no room for another.`;
}

/** What buying for all runs together is worth. */
export function togetherSentence(
  together: number,
  apart: number,
  names: readonly string[],
  reels: number,
  moneyText: (amount: number) => string,
): string {
  const saved = apart - together;
  const what =
    names.length === 1
      ? `${names[0]} for all runs${reels === 1 ? ' from one reel' : ''}`
      : `${names.join(', ')} bought for all runs`;
  return saved > 0.005
    ? `${what} is ${moneyText(saved)} cheaper than the best for each run by itself.`
    : 'Buying for each run by itself costs no more than buying for all together.';
}

/** How two lines stand to each other. */
export function phaseSentence(pair: {
  errorDegrees: number;
  toleranceDegrees: number;
  wantedDegrees: number;
  isSameCable: boolean;
}): string {
  const other = pair.isSameCable ? '' : ' They are of different cables, which drift and differ.';
  const wanted =
    pair.wantedDegrees === 0 ? 'in phase' : `at ${plain(pair.wantedDegrees, 1)}° to each other`;
  const off = Math.abs(pair.errorDegrees);
  return off < 0.5
    ? `As they are cut they are ${wanted}, to within ±${fixed(pair.toleranceDegrees, 0)}°.${other}`
    : `As they are cut they are ${fixed(off, 0)}° off being ${wanted}, ±${fixed(pair.toleranceDegrees, 0)}° for what nobody knows exactly.${other}`;
}
