export { revisionNumber } from './model';
export type { Use } from './model';
export { newPlan, PRESETS } from './presets';
export { PlanPage } from './PlanPage';
export { SERVICES } from './bands/bandPlan';
export { ribbonPath, slotsOf, thicknesses } from './run/ribbonLayout';
