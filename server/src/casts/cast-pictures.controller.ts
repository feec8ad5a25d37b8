import { Controller, Delete, Get, HttpCode, Post, Query, StreamableFile } from '@nestjs/common';
import { PictureQuery, type CastPictureView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { ForRole } from '../http/request.js';
import type { Redrawn } from '../pictures/redraw.js';
import { Picture, TakesPicture } from '../pictures/takes-picture.js';
import { CastPicturesService } from './cast-pictures.service.js';

/** Photos of a cast, each with the event that it shows. */
@Controller('api')
export class CastPicturesController {
  constructor(private readonly pictures: CastPicturesService) {}

  @ForRole('helper')
  @Post('casts/:id/pictures')
  @TakesPicture()
  add(@Key() castId: string, @Query() { event }: PictureQuery, @Picture() picture: Redrawn): Promise<CastPictureView> {
    return this.pictures.add(castId, picture, event, Date.now());
  }

  @Get('cast-pictures/:id')
  async image(@Key() id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.pictures.image(id), { type: 'image/webp' });
  }

  @Delete('cast-pictures/:id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.pictures.remove(id);
  }
}
