export * from './findings.module.js';
export * from './trial-deals.service.js';
