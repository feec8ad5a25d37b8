import { Module } from '@nestjs/common';
import { CastsModule } from '../casts/index.js';
import { FindingsModule } from '../findings/index.js';
import { LessonsModule } from '../lessons/index.js';
import { MaterialsModule } from '../materials/index.js';
import { MixesModule } from '../mixes/index.js';
import { MouldsModule } from '../moulds/index.js';
import { TintsModule } from '../tints/index.js';
import { PoursController } from './pours.controller.js';
import { PoursService } from './pours.service.js';
import { RunStreamController } from './run-stream.controller.js';
import { PastPoursService } from './past-pours.service.js';
import { RunsService } from './runs.service.js';

/** Pours and their runs at the bench. */
@Module({
  imports: [CastsModule, FindingsModule, LessonsModule, MaterialsModule, MixesModule, MouldsModule, TintsModule],
  controllers: [PoursController, RunStreamController],
  providers: [PastPoursService, PoursService, RunsService],
  exports: [PoursService, RunsService],
})
export class PoursModule {}
