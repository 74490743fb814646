import type { BandAssessment } from '../../../api';
import type { Band } from '../document/model';
import type { RunSheet } from './usePaper';

function isOf(assessed: BandAssessment | undefined, band: Band | undefined): boolean {
  return assessed?.id === (band?.id ?? null) && assessed.frequencyMHz === band?.frequencyMHz;
}

/** The figures of a band; undefined where more is lost than can be assessed, for then the sheet has none. */
export function figuresOf(sheet: RunSheet, band: Band | undefined): BandAssessment | undefined {
  return sheet.bands.find((b) => isOf(b, band));
}

/** The band of the plan that the sheet's figures at a position are of. */
export function bandAt(
  sheet: RunSheet,
  position: number,
  bands: readonly Band[],
): Band | undefined {
  return bands.find((b) => isOf(sheet.bands[position], b));
}
