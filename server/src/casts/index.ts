export * from './articles.service.js';
export * from './cast-records.service.js';
export * from './casts.service.js';
export * from './refits.service.js';
export { TilesController } from './tiles.controller.js';
export * from './casts.module.js';
