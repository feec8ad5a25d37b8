export type { DateOrder } from './csv-values.js';
export * from './follow.js';
export * from './mend.js';
export * from './read-csv.js';
export * from './readings.js';
export * from './repeat-days.js';
export * from './season.js';
