export { ComeInPage } from './ComeInPage';
export { PeoplePage } from './PeoplePage';
export { SignIn } from './SignIn';
