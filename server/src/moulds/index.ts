export * from './moulds.service.js';
