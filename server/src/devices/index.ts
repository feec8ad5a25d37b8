export * from './bench-scale.js';
export * from './colour-reader.js';
export * from './logger.js';
export * from './weather.js';
