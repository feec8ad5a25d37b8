import type { GreyPicture } from './even-light.js';

/** An edge is looked at over so many pixels, and must rise by this over them. */
const OVER = 12;
const RISE = 20;
/** So many edges before anything is said of them; of a large picture one in some rows is looked at. */
const ENOUGH = 40;
const ROWS = 400;

/**
 * How wide edges are, px: the middle of what a rise over 12 pixels is in its steepest steps. A sharp photo has them over two or three, a blurred one
 * over all twelve. Undefined where hardly anything stands out.
 */
export function edgeWidth({ values, width, height }: GreyPicture): number | undefined {
  const widths: number[] = [];
  const stride = Math.max(1, Math.floor(height / ROWS));
  for (let y = 0; y < height; y += stride)
    for (let x = y * width, end = x + width - OVER; x < end; x++) {
      const rise = Math.abs(values[x + OVER]! - values[x]!);
      if (rise < RISE) continue;
      let steepest = 0;
      // Over two pixels, so that grain does not make an edge steep.
      for (let k = 0; k + 2 <= OVER; k++) steepest = Math.max(steepest, Math.abs(values[x + k + 2]! - values[x + k]!));
      widths.push((2 * rise) / steepest);
    }
  if (widths.length < ENOUGH) return undefined;
  return widths.sort((a, b) => a - b)[Math.floor(widths.length / 2)];
}
