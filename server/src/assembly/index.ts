export * from './articles.service.js';
export * from './assembly.module.js';
