export * from './place-series-cache.js';
export * from './first-places.js';
export * from './place-series.js';
export * from './readings.service.js';
export * from './ambient.module.js';
export * from './stays.js';
export * from './usual-months.service.js';
