export * from './drawings.js';
export * from './stl.js';
