export * from './another-copy.js';
export * from './lot-cost.js';
export * from './mould-wear.js';
export * from './piece-cost.js';
export * from './piece-facts.js';
export * from './price.js';
export * from './season.js';
export * from './sending.js';
