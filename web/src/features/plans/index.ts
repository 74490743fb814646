export { PlansPage } from './PlansPage';
