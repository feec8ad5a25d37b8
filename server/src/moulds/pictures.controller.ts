import { Body, Controller, Delete, Get, Header, HttpCode, Post, Query, StreamableFile } from '@nestjs/common';
import { CaptionInput, PhotoQuery, type PictureView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import type { Redrawn } from '../pictures/redraw.js';
import { PHOTO_CACHED, PhotosService } from '../pictures/photos.service.js';
import { Picture, TakesPicture } from '../pictures/takes-picture.js';
import { PicturesService } from './pictures.service.js';

@Controller('api')
export class PicturesController {
  constructor(
    private readonly pictures: PicturesService,
    private readonly photos: PhotosService,
  ) {}

  @Post('moulds/:id/pictures')
  @TakesPicture()
  add(@Key() id: string, @Body() { caption = '' }: CaptionInput, @Picture() picture: Redrawn): Promise<PictureView> {
    return this.pictures.add(id, caption, picture);
  }

  @Get('pictures/:id')
  @Header('Cache-Control', PHOTO_CACHED)
  async image(@Key() id: string, @Query() { size = 'large' }: PhotoQuery): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.image('mould_pictures', id, size), { type: 'image/webp' });
  }

  @Delete('pictures/:id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.pictures.remove(id);
  }
}
