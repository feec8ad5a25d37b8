import {
  Controller,
  Delete,
  Get,
  HttpCode,
  Post,
  Query,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import type { CastPictureView } from '@dewpot/contract';
import { isUUID } from 'class-validator';
import { v7 as uuid } from 'uuid';
import { CastEntity, CastPictureEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { redraw } from '../http/redraw.js';

const MOST_BYTES = 12 * 1024 * 1024;
const MOST_PICTURES = 40;

/** Photos of a cast, each with the event that it shows. */
@Controller('api')
export class CastPicturesController {
  constructor(private readonly rows: Rows) {}

  @Post('casts/:id/pictures')
  @UseInterceptors(FileInterceptor('picture', { limits: { fileSize: MOST_BYTES, files: 1, fields: 4 } }))
  async add(
    @Key() castId: string,
    @Query('event') eventId?: string,
    @UploadedFile() file?: { readonly buffer: Buffer },
  ): Promise<CastPictureView> {
    if (!(await this.rows.of(CastEntity).existsBy({ id: castId }))) throw ProblemError.notFound('cast');
    if (!file)
      throw new ProblemError(422, 'No picture', {
        detail: 'No file came with this.',
        errors: [{ field: 'picture', value: null, message: 'The picture is missing.', remedy: 'Choose a photo.' }],
      });
    const pictures = this.rows.of(CastPictureEntity);
    if ((await pictures.countBy({ castId })) >= MOST_PICTURES)
      throw new ProblemError(409, 'Enough pictures', {
        detail: `A cast keeps ${MOST_PICTURES} pictures. Throw one away first.`,
      });
    const { image, width, height } = await redraw(file.buffer);
    const { workshopId } = this.rows;
    const shows = isUUID(eventId) ? eventId : null;
    const picture = { id: uuid(), castId, eventId: shows, width, height, at: Date.now() };
    await pictures.insert({ ...picture, workshopId, image });
    return { id: picture.id, at: picture.at, width, height, ...(shows && { eventId: shows }) };
  }

  @Get('cast-pictures/:id')
  async image(@Key() id: string): Promise<StreamableFile> {
    const found = await this.rows.of(CastPictureEntity).findOne({ where: { id }, select: { id: true, image: true } });
    if (!found) throw ProblemError.notFound('picture');
    return new StreamableFile(found.image, { type: 'image/webp' });
  }

  @Delete('cast-pictures/:id')
  @HttpCode(204)
  async remove(@Key() id: string): Promise<void> {
    await this.rows.of(CastPictureEntity).delete({ id });
  }
}
