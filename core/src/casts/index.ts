export * from './append.js';
export * from './due.js';
export * from './events.js';
export * from './gate.js';
export * from './life.js';
export * from './mould-record.js';
export * from './wetness.js';
export * from './code.js';
