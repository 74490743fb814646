export { CutReel } from './CutReel';
export { CutsPage } from './CutsPage';
export { KitsPage } from './KitsPage';
export { LabelsPage } from './LabelsPage';
export { LockerPage } from './LockerPage';
export { PiecePage } from './PiecePage';
