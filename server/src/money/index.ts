export * from './money.module.js';
