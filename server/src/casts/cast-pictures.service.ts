import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { CastPictureView, PictureQuery } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { PhotosService } from '../pictures/photos.service.js';
import type { Redrawn } from '../pictures/redraw.js';
import { CastEntity, CastEventEntity, CastPictureEntity } from './casts.entities.js';
import { castPictureView } from './casts.mappers.js';

const MOST_PICTURES = 40;

/** Photos of casts, each with the event that it shows. */
@Injectable()
export class CastPicturesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly photos: PhotosService,
  ) {}

  /** @throws ProblemError 404 where the cast or the event is not here, 409 where the cast has enough pictures. */
  async add(castId: string, redrawn: Redrawn, { event, id = uuid(), at }: PictureQuery, now: number): Promise<CastPictureView> {
    // The cast is locked, so that two pictures at once are counted one after the other.
    const cast = await this.rows
      .of(CastEntity)
      .findOne({ where: { id: castId }, select: { id: true }, lock: { mode: 'for_no_key_update' } });
    if (!cast) throw ProblemError.notFound('cast');
    const pictures = this.rows.of(CastPictureEntity);
    const there = await pictures.findOneBy({ id, castId });
    if (there) return castPictureView(there);
    if (event !== undefined && !(await this.rows.of(CastEventEntity).existsBy({ id: event, castId })))
      throw ProblemError.notFound('event');
    if ((await pictures.countBy({ castId })) >= MOST_PICTURES)
      throw new ProblemError(409, msg('server.enoughPictures'), {
        detail: msg('server.castPictures', { mostPictures: MOST_PICTURES }),
      });
    const { workshopId } = this.rows;
    const { width, height } = redrawn;
    const picture = { id, castId, eventId: event ?? null, width, height, at: Math.min(at ?? now, now) };
    await pictures.insert({ ...picture, workshopId, photo: await this.photos.keep(redrawn) });
    return castPictureView(picture);
  } // prettier-ignore

  async remove(id: string): Promise<void> {
    await this.rows.of(CastPictureEntity).delete({ id });
  }
}
