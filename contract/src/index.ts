import 'reflect-metadata';

export * from './accounts.js';
export * from './air.js';
export * from './casts.js';
export * from './mix-questions.js';
export * from './mixes.js';
export * from './moulds.js';
export * from './pours.js';
export * from './run.js';
export * from './scale.js';
export * from './problem.js';
export * from './reckon.js';
export * from './resolve.js';
export * from './solids.js';
export * from './stores.js';
export * from './tint-files.js';
export * from './tint-questions.js';
export * from './tints.js';
