export { SitesPage } from './SitesPage';
