export * from './choose-way.js';
export * from './measure-batch.js';
export * from './measured-batch.js';
export * from './ways.js';
