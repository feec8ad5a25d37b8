export * from './steps.js';
export * from './minutes.js';
export * from './finishing.js';
export * from './steps-of.js';
export * from './timeline.js';
export * from './run.js';
export * from './run-now.js';
export * from './pace.js';
