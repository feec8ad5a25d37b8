export * from './climates.js';
export * from './lessons.js';
export * from './outcomes.js';
export * from './own-piece.js';
export * from './simulate.js';
