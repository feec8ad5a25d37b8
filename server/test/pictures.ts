import sharp from 'sharp';

/** A photo as a camera may write it, all of one colour. */
export const photoOf = (background = '#888', width = 40, height = 30): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer();
