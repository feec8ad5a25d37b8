import { Body, Controller, Delete, Get, HttpCode, Post, StreamableFile } from '@nestjs/common';
import { CaptionInput, type PictureView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import type { Redrawn } from '../pictures/redraw.js';
import { Picture, TakesPicture } from '../pictures/takes-picture.js';
import { PicturesService } from './pictures.service.js';

@Controller('api')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Post('moulds/:id/pictures')
  @TakesPicture()
  add(@Key() id: string, @Body() { caption = '' }: CaptionInput, @Picture() picture: Redrawn): Promise<PictureView> {
    return this.pictures.add(id, caption, picture);
  }

  @Get('pictures/:id')
  async image(@Key() id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.pictures.image(id), { type: 'image/webp' });
  }

  @Delete('pictures/:id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.pictures.remove(id);
  }
}
