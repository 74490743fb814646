export { revisionNumber } from './document/model';
export type { Use } from './document/model';
export { newPlan, PRESETS } from './document/presets';
export {
  boundaryLevels,
  levelsOf,
  levelsOfLosses,
  ribbonPath,
  slotsOf,
  thicknesses,
} from './run/ribbonLayout';
