export * from './climates.js';
export * from './lessons.js';
export * from './outcomes.js';
export * from './rehearse.js';
