import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { LessonsModule } from '../lessons/index.js';
import { MaterialsModule } from '../materials/index.js';
import { DryingLessonsService } from './drying-lessons.service.js';
import { DrynessService } from './dryness.service.js';
import { OverridesController } from './overrides.controller.js';
import { ProductsService } from './products.service.js';
import { RefitsService } from './refits.service.js';
import { SealLessonsService } from './seal-lessons.service.js';
import { WeighedNowService } from './weighed-now.service.js';

/** Sealing: how dry casts are, what they are sealed with, and what gates that were overridden taught. */
@Module({
  imports: [AmbientModule, LessonsModule, MaterialsModule],
  controllers: [OverridesController],
  providers: [
    DryingLessonsService,
    DrynessService,
    ProductsService,
    RefitsService,
    SealLessonsService,
    WeighedNowService,
  ],
  exports: [
    DryingLessonsService,
    DrynessService,
    ProductsService,
    RefitsService,
    SealLessonsService,
    WeighedNowService,
  ],
})
export class SealingModule {}
