export * from './mixes.service.js';
