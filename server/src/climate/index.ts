export * from './climates.js';
export * from './first-places.js';
export * from './place-series.js';
export * from './readings.service.js';
