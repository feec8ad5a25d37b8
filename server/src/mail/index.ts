export * from './mail.module.js';
export * from './outbox.service.js';
