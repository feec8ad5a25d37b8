export * from './first-materials.js';
export * from './lots.service.js';
export * from './materials.service.js';
export { plainLot, plainMaterial, scoopView } from './materials.mappers.js';
export * from './materials.module.js';
