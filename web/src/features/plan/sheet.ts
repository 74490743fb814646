/** The sheet of a plan, by itself: the list of plans opens without waiting for it. */
export { PlanPage } from './PlanPage';
export { SharedPage } from './sharing/SharedPage';
export { fetchViews } from './views/CurrentView';
