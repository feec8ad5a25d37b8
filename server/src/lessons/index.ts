export * from './forgotten-lessons.service.js';
export * from './lessons.module.js';
