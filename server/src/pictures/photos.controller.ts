import { Controller, Get } from '@nestjs/common';
import type { PhotoRoom } from '@dewpot/contract';
import { PhotosService } from './photos.service.js';

/** What the photos of a workshop take. */
@Controller('api/photos')
export class PhotosController {
  constructor(private readonly photos: PhotosService) {}

  @Get('room')
  room(): Promise<PhotoRoom> {
    return this.photos.room();
  }
}
