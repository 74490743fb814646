/** The sheet of a plan, by itself: the list of plans opens without waiting for it. */
export { PlanPage } from './PlanPage';
export { fetchViews } from './views/CurrentView';
