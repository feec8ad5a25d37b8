import 'reflect-metadata';

export { firstSettings, WorkshopsService } from './accounts/workshops.service.js';
export { People } from './accounts/people.service.js';
export { createServer } from './bootstrap.js';
export { ArticlesService } from './assembly/index.js';
export { CastRecordsService, CastsService } from './casts/index.js';
export { configFrom, type ServerConfig } from './config.js';
export { prepareDatabase } from './db/connection.js';
export { WorkshopContext } from './db/workshop-context.js';
export { PlaceEntity } from './ambient/ambient.entities.js';
export { PlaceSeriesCache, ReadingsService } from './ambient/index.js';
export { ambientIn } from './devices/weather.js';
export { MixesService, TilesService } from './mixes/index.js';
export { MouldsService, TubsService } from './moulds/index.js';
export { PoursService } from './pours/pours.service.js';
export { fillWithHandbook } from './materials/first-materials.js';
export { MaterialsService } from './materials/materials.service.js';
export { TintsService } from './tints/tints.service.js';
