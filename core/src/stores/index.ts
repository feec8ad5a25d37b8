export * from './lot.js';
export * from './scoop.js';
export * from './take.js';
