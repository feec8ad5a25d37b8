export { bucketLabel } from './bucket-label';
export { mixNames } from './mix-names';
export { SpreadTest } from './spread-test';
