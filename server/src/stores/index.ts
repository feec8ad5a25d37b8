export * from './handbook.js';
export * from './lots.service.js';
export * from './stores.service.js';
