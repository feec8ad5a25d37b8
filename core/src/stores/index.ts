export * from './lot.js';
export * from './scoop.js';
