import { useEffect, useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { PhotoPixels } from '@dewpot/core/photos';

/** Longest side of a picture that is looked into, px. */
const LONGEST = 1400;

/** The pixels of a photo, upright and no larger than is of use: `longest` px along its longer side. @throws DOMException for what is no picture */
export async function pixelsOf(file: File, longest = LONGEST): Promise<PhotoPixels> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, longest / Math.max(picture.width, picture.height));
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = defined(canvas.getContext('2d', { willReadFrequently: true }));
  context.drawImage(picture, 0, 0, width, height);
  picture.close();
  return { data: context.getImageData(0, 0, width, height).data, width, height };
}

/** An address under which a chosen file is shown. */
export function useAddress(file: File): string {
  const [address] = useState(() => URL.createObjectURL(file));
  useEffect(() => () => URL.revokeObjectURL(address), [address]);
  return address;
}
