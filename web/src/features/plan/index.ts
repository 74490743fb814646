export { PlanPage } from './PlanPage';
export { newPlan, revisionNumber } from './model';
