import { Module } from '@nestjs/common';
import { MaterialsModule } from '../materials/index.js';
import { MixFilesService } from './mix-files.service.js';
import { MixesController } from './mixes.controller.js';
import { MixesService } from './mixes.service.js';
import { TilesController } from './tiles.controller.js';
import { TilesService } from './tiles.service.js';

/** Mixes with their versions, and files of them. */
@Module({
  imports: [MaterialsModule],
  controllers: [MixesController, TilesController],
  providers: [MixFilesService, MixesService, TilesService],
  exports: [MixesService],
})
export class MixesModule {}
