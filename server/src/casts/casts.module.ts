import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { MaterialsModule } from '../materials/index.js';
import { ArticlesController } from './articles.controller.js';
import { ArticlesService } from './articles.service.js';
import { CastPicturesController } from './cast-pictures.controller.js';
import { CastRecordsService } from './cast-records.service.js';
import { CastsController } from './casts.controller.js';
import { CastsService } from './casts.service.js';
import { DemouldsController } from './demould-lessons.controller.js';
import { DemouldsService } from './demould-lessons.service.js';
import { DrynessService } from './dryness.service.js';
import { DuesService } from './dues.service.js';
import { OverridesController } from './overrides.controller.js';
import { ProductsService } from './products.service.js';
import { RefitsService } from './refits.service.js';
import { SealLessonsService } from './seal-lessons.service.js';
import { TilesController } from './tiles.controller.js';
import { WeighedNowService } from './weighed-now.service.js';

/** Casts: their events, what is due to them, how dry they are, and what they taught. */
@Module({
  imports: [AmbientModule, MaterialsModule],
  controllers: [
    ArticlesController,
    CastPicturesController,
    CastsController,
    DemouldsController,
    OverridesController,
    TilesController,
  ],
  providers: [
    ArticlesService,
    CastRecordsService,
    CastsService,
    DemouldsService,
    DrynessService,
    DuesService,
    ProductsService,
    RefitsService,
    SealLessonsService,
    WeighedNowService,
  ],
  exports: [ArticlesService, CastRecordsService, CastsService, RefitsService],
})
export class CastsModule {}
