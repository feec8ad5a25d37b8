export * from './check-pattern.js';
export * from './cut-part.js';
export * from './fold.js';
export * from './parts-sheet.js';
export * from './pattern.js';
export * from './work-pattern.js';
export * from './cut-groups.js';
