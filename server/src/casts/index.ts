export * from './casts.service.js';
