export * from './drying-lessons.service.js';
export * from './dryness.service.js';
export * from './products.service.js';
export * from './refits.service.js';
export * from './seal-lessons.service.js';
export * from './sealing.module.js';
export * from './weighed-now.service.js';
