export * from './bisect.js';
export * from './defined.js';
export * from './interpolate.js';
export * from './linear-system.js';
export * from './mean.js';
export * from './minimum.js';
export * from './normal.js';
export * from './triples.js';
