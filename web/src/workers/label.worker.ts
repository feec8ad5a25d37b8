import { expose } from 'comlink';
import jsQR from 'jsqr';
import type { PhotoPixels } from '@dewpot/core/photos';

export const labelWork = {
  /** What the square code in a picture says; undefined where none is found. */
  read: ({ data, width, height }: PhotoPixels): string | undefined => jsQR(data, width, height)?.data,
};

export type LabelWork = typeof labelWork;
expose(labelWork);
