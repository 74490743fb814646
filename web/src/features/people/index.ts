export { ComeInPage } from './ComeInPage';
export { HappeningsPage } from './HappeningsPage';
export { PeoplePage } from './PeoplePage';
export { SignIn } from './SignIn';
