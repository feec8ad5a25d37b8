import { Module } from '@nestjs/common';
import { FindingsAsideController } from './findings-aside.controller.js';
import { FindingsAsideService } from './findings-aside.service.js';
import { MouldsController } from './moulds.controller.js';
import { MouldsService } from './moulds.service.js';
import { PicturesController } from './pictures.controller.js';
import { PicturesService } from './pictures.service.js';
import { TubsController } from './tubs.controller.js';
import { TubsService } from './tubs.service.js';

/** Moulds with their copies and pictures, tubs that nest, and findings that were put aside. */
@Module({
  controllers: [FindingsAsideController, MouldsController, PicturesController, TubsController],
  providers: [FindingsAsideService, MouldsService, PicturesService, TubsService],
  exports: [MouldsService, TubsService],
})
export class MouldsModule {}
