export { CablesPage } from './CablesPage';
