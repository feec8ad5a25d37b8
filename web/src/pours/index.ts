export { bucketLabel } from './bucket-label';
export { thingsToLayOut } from './preparation-checklist';
export { SpreadTest } from './spread-test';
