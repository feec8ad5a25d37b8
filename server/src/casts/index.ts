export * from './cast-records.service.js';
export { listedBy } from './casts.mappers.js';
export * from './casts.module.js';
export * from './casts.service.js';
export * from './dues.service.js';
export * from './lock-pours.js';
