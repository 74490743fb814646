export { ComparePage } from './ComparePage';
export { PlansPage } from './PlansPage';
