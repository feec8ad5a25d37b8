export * from './load-solver.js';
export * from './solver.js';
