export * from './air-station.js';
export * from './colour-reader.js';
