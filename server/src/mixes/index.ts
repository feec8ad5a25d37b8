export * from './mixes.service.js';
export * from './mixes.module.js';
export * from './tiles.service.js';
