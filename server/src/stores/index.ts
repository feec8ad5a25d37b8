export * from './handbook.js';
export * from './stores.service.js';
