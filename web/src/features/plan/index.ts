export { PlanPage } from './PlanPage';
export { newPlan } from './model';
