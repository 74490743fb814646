export { newPlan, revisionNumber } from './model';
export { PlanPage } from './PlanPage';
export { ribbonPath, slotsOf, thicknesses } from './run/ribbonLayout';
