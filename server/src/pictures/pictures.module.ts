import { Global, Module } from '@nestjs/common';
import { PhotoSizes } from './photo-sizes.service.js';
import { PhotosController } from './photos.controller.js';
import { PhotosService } from './photos.service.js';

/** Photos, whatever they show. */
@Global()
@Module({
  controllers: [PhotosController],
  providers: [PhotosService, PhotoSizes],
  exports: [PhotosService],
})
export class PicturesModule {}
