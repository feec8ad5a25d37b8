import { Controller, Delete, Get, HttpCode, Post, Query, StreamableFile } from '@nestjs/common';
import { PictureQuery, type CastPictureView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { CastEntity, CastPictureEntity } from '../db/entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import type { Redrawn } from '../pictures/redraw.js';
import { Picture, TakesPicture } from '../pictures/takes-picture.js';

const MOST_PICTURES = 40;

/** Photos of a cast, each with the event that it shows. */
@Controller('api')
export class CastPicturesController {
  constructor(private readonly rows: WorkshopContext) {}

  @Post('casts/:id/pictures')
  @TakesPicture()
  async add(
    @Key() castId: string,
    @Query() { event }: PictureQuery,
    @Picture() { image, width, height }: Redrawn,
  ): Promise<CastPictureView> {
    // The cast is locked, so that two pictures at once are counted one after the other.
    const cast = await this.rows
      .of(CastEntity)
      .findOne({ where: { id: castId }, select: { id: true }, lock: { mode: 'pessimistic_write' } });
    if (!cast) throw ProblemError.notFound('cast');
    const pictures = this.rows.of(CastPictureEntity);
    if ((await pictures.countBy({ castId })) >= MOST_PICTURES)
      throw new ProblemError(409, 'Enough pictures', {
        detail: `A cast keeps ${MOST_PICTURES} pictures. Throw one away first.`,
      });
    const { workshopId } = this.rows;
    const picture = { id: uuid(), castId, eventId: event ?? null, width, height, at: Date.now() };
    await pictures.insert({ ...picture, workshopId, image: Buffer.from(image) });
    return { id: picture.id, at: picture.at, width, height, ...(event && { eventId: event }) };
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
