export * from './tints.service.js';
export * from './tints.module.js';
