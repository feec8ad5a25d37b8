/** A picture: four bytes a pixel (red, green, blue, opacity), row by row from the top. */
export interface PhotoPixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A place on a picture, px from its upper left corner. */
export type PhotoPoint = readonly [x: number, y: number];
