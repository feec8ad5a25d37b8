export * from './moulds.service.js';
export * from './tubs.service.js';
export * from './moulds.module.js';
