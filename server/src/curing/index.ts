export * from './curing.module.js';
export * from './demould-lessons.service.js';
