import { Controller, Delete, Get, Header, HttpCode, Post, Query, StreamableFile } from '@nestjs/common';
import { PhotoQuery, PictureQuery, type CastPictureView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { ForRole } from '../http/request.js';
import type { Redrawn } from '../pictures/redraw.js';
import { PHOTO_CACHED, PhotosService } from '../pictures/photos.service.js';
import { Picture, TakesPicture } from '../pictures/takes-picture.js';
import { CastPicturesService } from './cast-pictures.service.js';

/** Photos of a cast, each with the event that it shows. */
@Controller('api')
export class CastPicturesController {
  constructor(
    private readonly pictures: CastPicturesService,
    private readonly photos: PhotosService,
  ) {}

  @ForRole('helper')
  @Post('casts/:id/pictures')
  @TakesPicture()
  add(@Key() castId: string, @Query() shown: PictureQuery, @Picture() picture: Redrawn): Promise<CastPictureView> {
    return this.pictures.add(castId, picture, shown, clock.now());
  }

  @Get('cast-pictures/:id')
  @Header('Cache-Control', PHOTO_CACHED)
  async image(@Key() id: string, @Query() { size = 'large' }: PhotoQuery): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.image('cast_pictures', id, size), { type: 'image/webp' });
  }

  @Delete('cast-pictures/:id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.pictures.remove(id);
  }
}
