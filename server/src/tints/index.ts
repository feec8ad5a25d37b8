export * from './tints.service.js';
