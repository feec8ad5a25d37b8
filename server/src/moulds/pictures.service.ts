import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { PictureView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { MouldEntity, MouldPictureEntity } from './moulds.entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { PhotosService } from '../pictures/photos.service.js';
import type { Redrawn } from '../pictures/redraw.js';

const MOST_PICTURES = 24;

@Injectable()
export class PicturesService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly photos: PhotosService,
  ) {}

  async add(mouldId: string, caption: string, redrawn: Redrawn): Promise<PictureView> {
    // The mould is locked, so that two pictures at once are counted one after the other.
    const mould = await this.rows
      .of(MouldEntity)
      .findOne({ where: { id: mouldId }, select: { id: true }, lock: { mode: 'for_no_key_update' } });
    if (!mould) throw ProblemError.notFound('mould');
    const repository = this.rows.of(MouldPictureEntity);
    if ((await repository.countBy({ mouldId })) >= MOST_PICTURES)
      throw new ProblemError(409, msg('server.enoughPictures'), {
        detail: msg('server.mouldPictures', { mostPictures: MOST_PICTURES }),
      });
    const { width, height } = redrawn;
    const picture = { id: uuid(), workshopId: this.rows.workshopId, mouldId, caption, width, height };
    await repository.insert({ ...picture, photo: await this.photos.keep(redrawn) });
    return { id: picture.id, caption, width, height };
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(MouldPictureEntity).delete({ id });
  }
}
