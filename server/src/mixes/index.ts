export * from './mixes.service.js';
export * from './mixes.module.js';
