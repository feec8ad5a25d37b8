import { Module } from '@nestjs/common';
import { LessonsModule } from '../lessons/index.js';
import { MaterialsModule } from '../materials/index.js';
import { TintFilesService } from './tint-files.service.js';
import { SwatchesController, TintsController } from './tints.controller.js';
import { TintsService } from './tints.service.js';

/** Tints with their versions, the chips that teach them, and files of both. */
@Module({
  imports: [LessonsModule, MaterialsModule],
  controllers: [SwatchesController, TintsController],
  providers: [TintFilesService, TintsService],
  exports: [TintsService],
})
export class TintsModule {}
