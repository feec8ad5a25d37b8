export { groupCasts } from './reading';
