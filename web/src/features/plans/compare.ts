/** Plans side by side, by themselves: the list opens without waiting for them. */
export { ComparePage } from './ComparePage';
