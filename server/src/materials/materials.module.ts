import { Module } from '@nestjs/common';
import { LotsService } from './lots.service.js';
import { MaterialsController } from './materials.controller.js';
import { MaterialsService } from './materials.service.js';

/** Materials, lots and scoops. */
@Module({
  controllers: [MaterialsController],
  providers: [LotsService, MaterialsService],
  exports: [LotsService, MaterialsService],
})
export class MaterialsModule {}
