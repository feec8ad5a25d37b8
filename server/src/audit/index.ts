export * from './audit.module.js';
export * from './audit-trail.js';
