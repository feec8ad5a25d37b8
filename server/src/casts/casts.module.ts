import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { CuringModule } from '../curing/index.js';
import { SealingModule } from '../sealing/index.js';
import { CastPicturesController } from './cast-pictures.controller.js';
import { CastPicturesService } from './cast-pictures.service.js';
import { CastRecordsService } from './cast-records.service.js';
import { CastsController } from './casts.controller.js';
import { CastsService } from './casts.service.js';
import { DuesService } from './dues.service.js';

/** Casts: their events, their pictures, and what is due to them. */
@Module({
  imports: [AmbientModule, CuringModule, SealingModule],
  controllers: [CastPicturesController, CastsController],
  providers: [CastPicturesService, CastRecordsService, CastsService, DuesService],
  exports: [CastRecordsService, CastsService, DuesService],
})
export class CastsModule {}
