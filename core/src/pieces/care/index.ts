export * from './care-note.js';
export * from './fittings.js';
export * from './planted.js';
