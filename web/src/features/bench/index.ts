export { BenchPage } from './BenchPage';
export { TestPage } from './TestPage';
