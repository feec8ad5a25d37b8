export * from './air-station.js';
