export * from './figure.js';
export * from './finding.js';
export * from './format.js';
export * from './input-error.js';
export * from './language.js';
export * from './message.js';
export * from './parse.js';
export * from './time.js';
