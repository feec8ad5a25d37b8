/** A picture in grey, or the like of it: a number a pixel, row by row. */
export interface GreyPicture {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** Sums over all pixels above and to the left, with a row and a column of zeros before them. */
function sumsOf(width: number, height: number, valueAt: (i: number) => number): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += valueAt(y * width + x);
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  return sums;
}

/** The sum over a square of `reach` pixels to each side, cut off at the edges. */
function within(sums: Float64Array, width: number, height: number, x: number, y: number, reach: number): number {
  const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
  const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
  const at = (px: number, py: number) => sums[py * (width + 1) + px]!;
  return at(right, bottom) - at(left, bottom) - at(right, top) + at(left, top);
}

/** What a pixel is darker than its surroundings by, at the least, to be left out of them. */
const OUTSTANDING = 12;
const ROUNDS = 3;

/**
 * How much darker each pixel is than what lies about it, `reach` px to each side: uneven light and large shades fall away. What stands out dark
 * is left out of its own surroundings, round by round.
 */
export function darkness({ values, width, height }: GreyPicture, reach: number): Float32Array {
  const dark = new Float32Array(values.length);
  let counts = (_: number): boolean => true;
  for (let round = 0; round < ROUNDS; round++) {
    const told = counts;
    const sums = sumsOf(width, height, (i) => (told(i) ? values[i]! : 0));
    const many = sumsOf(width, height, (i) => (told(i) ? 1 : 0));
    const last = Float32Array.from(dark);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const i = y * width + x;
        const about = within(many, width, height, x, y, reach);
        dark[i] = about > 0 ? within(sums, width, height, x, y, reach) / about - values[i]! : last[i]!;
      }
    const known = Float32Array.from(dark);
    counts = (i) => known[i]! < OUTSTANDING;
  }
  return dark;
}
