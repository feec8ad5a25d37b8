export * from './air-station.js';
export * from './bench-scale.js';
export * from './colour-reader.js';
