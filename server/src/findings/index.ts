export * from './findings.module.js';
