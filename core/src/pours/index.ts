export * from './batches.js';
export * from './cautions.js';
export * from './pieces.js';
export * from './plan.js';
export * from './sheet.js';
export * from './water-plan.js';
export * from './log.js';
