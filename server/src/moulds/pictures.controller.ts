import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Post,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { CaptionInput, type PictureView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { PicturesService } from './pictures.service.js';

const MOST_BYTES = 12 * 1024 * 1024;

@Controller('api')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Post('moulds/:id/pictures')
  @UseInterceptors(FileInterceptor('picture', { limits: { fileSize: MOST_BYTES, files: 1, fields: 4 } }))
  add(
    @Key() id: string,
    @Body() { caption = '' }: CaptionInput,
    @UploadedFile() file: { readonly buffer: Buffer } | undefined,
  ): Promise<PictureView> {
    if (!file)
      throw new ProblemError(422, 'No picture', {
        detail: 'No file came with this.',
        errors: [{ field: 'picture', value: null, message: 'The picture is missing.', remedy: 'Choose a photo.' }],
      });
    return this.pictures.add(id, caption, file.buffer);
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
