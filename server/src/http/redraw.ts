import sharp from 'sharp';
import { ProblemError } from './problem-error.js';

/** Longest side of a picture as it is kept, px. */
const LONGEST = 1600;
/** Pixels of an upload beyond which it is not even opened. */
const MOST_PIXELS = 60_000_000;

/** Kinds of file that cameras write; a drawing that could carry more than pixels is none. */
const photos: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif'];

/** Draws a picture anew: smaller, upright, and without what the camera wrote into it, its place among that. */
export async function redraw(bytes: Buffer): Promise<{ image: Buffer; width: number; height: number }> {
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
