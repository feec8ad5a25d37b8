export { bucketLabel } from './bucket-label';
export { thingsToLayOut } from './lay-out';
export { mixNames } from './mix-names';
export { SpreadTest } from './spread-test';
