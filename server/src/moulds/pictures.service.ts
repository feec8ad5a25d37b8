import { Injectable } from '@nestjs/common';
import type { PictureView } from '@dewpot/contract';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { MouldEntity, MouldPictureEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { ProblemError } from '../http/problem-error.js';

/** Longest side of a picture as it is kept, px. */
const LONGEST = 1600;
/** Pixels of an upload beyond which it is not even opened. */
const MOST_PIXELS = 60_000_000;
const MOST_PICTURES = 24;

/** Kinds of file that cameras write; a drawing that could carry more than pixels is none. */
const photos: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif'];

/** Draws a picture anew: smaller, upright, and without what the camera wrote into it, its place among that. */
async function redraw(bytes: Buffer): Promise<{ image: Buffer; width: number; height: number }> {
  try {
    const source = sharp(bytes, { limitInputPixels: MOST_PIXELS });
    const { format } = await source.metadata();
    if (!photos.includes(format)) throw new Error(`A file of kind ${format}`);
    const { data, info } = await source
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    return { image: data, width: info.width, height: info.height };
  } catch (error) {
    throw new ProblemError(422, 'Not a picture', {
      detail: 'This file cannot be read as a picture.',
      errors: [
        {
          field: 'picture',
          value: error instanceof Error ? error.message : null,
          message: 'It is not a JPEG, PNG, WebP or GIF picture, or it is too large or cut short.',
          remedy: 'Choose a photo of at most 60 million pixels.',
        },
      ],
    });
  }
}

@Injectable()
export class PicturesService {
  constructor(private readonly rows: Rows) {}

  async add(mouldId: string, caption: string, bytes: Buffer): Promise<PictureView> {
    if (!(await this.rows.of(MouldEntity).existsBy({ id: mouldId }))) throw ProblemError.notFound('mould');
    const repository = this.rows.of(MouldPictureEntity);
    if ((await repository.countBy({ mouldId })) >= MOST_PICTURES)
      throw new ProblemError(409, 'Enough pictures', {
        detail: `A mould keeps ${MOST_PICTURES} pictures. Throw one away first.`,
      });
    const { image, width, height } = await redraw(bytes);
    const picture = { id: uuid(), workshopId: this.rows.workshopId, mouldId, caption, width, height };
    await repository.insert({ ...picture, image });
    return { id: picture.id, caption, width, height };
  }

  async image(id: string): Promise<Buffer> {
    const picture = await this.rows
      .of(MouldPictureEntity)
      .findOne({ where: { id }, select: { id: true, image: true } });
    if (!picture) throw ProblemError.notFound('picture');
    return picture.image;
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(MouldPictureEntity).delete({ id });
  }
}
