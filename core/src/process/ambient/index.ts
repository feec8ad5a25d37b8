export * from './clean-series.js';
export { dateOrders, type DateOrder } from './csv-values.js';
export * from './month-normals.js';
export * from './place-history.js';
export * from './read-csv.js';
export * from './readings.js';
export * from './repeat-days.js';
export * from './season.js';
export * from './whole-months.js';
