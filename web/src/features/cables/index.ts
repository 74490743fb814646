export { AnatomyPage } from './AnatomyPage';
export { CablesPage } from './CablesPage';
