export { bucketLabel } from './bucket-label';
export { thingsToLayOut } from './preparation-checklist';
export { mixNames } from './mix-names';
export { SpreadTest } from './spread-test';
