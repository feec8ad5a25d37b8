export * from './lot.js';
export * from './scoop.js';
export * from './shopping.js';
export * from './take.js';
