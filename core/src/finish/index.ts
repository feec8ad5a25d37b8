export * from './dry-down-fit.js';
export * from './products.js';
export * from './readiness.js';
export * from './seal.js';
