import { msg } from '@dewpot/core/units';
import sharp from 'sharp';
import { ProblemError } from '../http/problem-error.js';

/** Longest side of a picture as it is kept, px: to look into it, to look at it, and to find it among others. */
const SIDES = { large: 1600, medium: 800, small: 240 } as const;
/** The largest picture that is opened: a small file can claim any size, and is drawn in memory at that size. */
const MOST_PIXELS = 50_000_000;
const MOST_SIDE = 16_000;

/** Kinds of file that cameras write; a drawing that could carry more than pixels is none. */
const photos: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif'];

/** The smaller sizes of a picture. */
export interface Shrunk {
  readonly medium: Uint8Array;
  readonly small: Uint8Array;
}

/** A picture as it is kept, with the size of the large one, px. */
export interface Redrawn extends Shrunk {
  readonly large: Uint8Array;
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

/** A picture no larger than that, without what the camera wrote into it. */
const within = (bytes: Uint8Array, side: number, effort: number) =>
  sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize(side, side, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 80, effort });

/** The smaller sizes of a picture. Quickly drawn: so small they gain nothing by effort. @throws Error for what is no picture */
async function shrunk(large: Uint8Array): Promise<Shrunk> {
  const medium = await within(large, SIDES.medium, 2).toBuffer();
  return { medium, small: await within(medium, SIDES.small, 2).toBuffer() };
}

/** The smaller sizes of a picture that is kept. One that cannot be drawn stands for its smaller sizes: nothing better will come of it. */
export const shrink = (large: Uint8Array): Promise<Shrunk> =>
  shrunk(large).catch(() => ({ medium: large, small: large }));

/** Draws a picture again in three sizes: upright, and without what the camera wrote into it, its place among that. @throws ProblemError 422 */
export async function redraw(bytes: Uint8Array): Promise<Redrawn> {
  try {
    await checkHeader(bytes);
    const { data: large, info } = await within(bytes, SIDES.large, 4).toBuffer({ resolveWithObject: true });
    return { large, ...(await shrunk(large)), width: info.width, height: info.height };
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

/** Whether a picture is a large one as `redraw` makes them, by its header. */
export async function checkKept(image: Uint8Array): Promise<boolean> {
  try {
    const { format, width, height } = await sharp(image, { limitInputPixels: MOST_PIXELS }).metadata();
    return format === 'webp' && width <= SIDES.large && height <= SIDES.large;
  } catch {
    // Whatever its header says, it is no picture.
    return false;
  }
}
