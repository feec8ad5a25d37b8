import { msg } from '@dewpot/core/units';
import sharp from 'sharp';
import { ProblemError } from '../http/problem-error.js';

/** Longest side of a picture as it is kept, px. */
const LONGEST = 1600;
/** The largest picture that is opened: a small file can claim any size, and is drawn in memory at that size. */
const MOST_PIXELS = 50_000_000;
const MOST_SIDE = 16_000;

/** Kinds of file that cameras write; a drawing that could carry more than pixels is none. */
const photos: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif'];

/** A picture as it is kept. */
export interface Redrawn {
  readonly image: Uint8Array;
  readonly width: number;
  readonly height: number;
}

// One picture at a time, on one core, with nothing of it kept: what it takes of memory is bounded by its pixels.
sharp.cache(false);
sharp.concurrency(1);

/** Refuses by its header what is no photo or too large to draw. @throws Error */
async function checkHeader(bytes: Uint8Array): Promise<void> {
  const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
  if (!photos.includes(format)) throw new Error(`a file of kind ${format}`);
  if (width > MOST_SIDE || height > MOST_SIDE || width * height > MOST_PIXELS)
    throw new Error(`${width} × ${height} pixels`);
}

/** Draws a picture again: smaller, upright, and without what the camera wrote into it, its place among that. @throws ProblemError 422 */
export async function redraw(bytes: Uint8Array): Promise<Redrawn> {
  try {
    await checkHeader(bytes);
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
      .rotate()
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    return { image: data, width: info.width, height: info.height };
  } catch (error) {
    throw new ProblemError(422, msg('server.notPicture'), {
      detail: msg('server.unreadablePicture'),
      errors: [
        {
          field: 'picture',
          value: error instanceof Error ? error.message : null,
          message: msg('server.pictureKinds'),
          remedy: msg('server.choosePhoto', { mostPixels: MOST_PIXELS / 1e6, mostSide: MOST_SIDE }),
        },
      ],
    });
  }
}

/** Whether a picture is one as `redraw` makes them, by its header. */
export async function checkKept(image: Uint8Array): Promise<boolean> {
  try {
    const { format, width, height } = await sharp(image, { limitInputPixels: MOST_PIXELS }).metadata();
    return format === 'webp' && width <= LONGEST && height <= LONGEST;
  } catch {
    // Whatever its header says, it is no picture.
    return false;
  }
}
