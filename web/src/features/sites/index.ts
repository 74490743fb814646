export { SitePage } from './SitePage';
export { SitesPage } from './SitesPage';
