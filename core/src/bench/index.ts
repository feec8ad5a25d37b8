export * from './steps.js';
export * from './minutes.js';
export * from './finishing.js';
export * from './steps-of.js';
export * from './timeline.js';
