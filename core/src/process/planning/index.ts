export * from './bench-of.js';
export * from './judge-context.js';
export * from './made-casts.js';
export * from './pour-parts.js';
export * from './pour-sources.js';
export * from './poured-parts.js';
