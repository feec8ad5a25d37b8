export * from './cast-records.service.js';
export * from './casts.module.js';
export * from './casts.service.js';
export * from './dues.service.js';
export * from './lock-pours.js';
