export * from './card.js';
export * from './pixels.js';
export * from './trace.js';
export * from './voids.js';
