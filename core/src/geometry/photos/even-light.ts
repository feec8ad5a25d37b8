/** A picture in grey, or the like of it: a number a pixel, row by row. */
export interface GreyPicture {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** Sums over all pixels above and to the left, with a row and a column of zeros before them; of the pixels that count, their values or how many. */
function sumsOf({ values, width, height }: GreyPicture, counting: Uint8Array, many: boolean): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (counting[i] === 1) row += many ? 1 : values[i]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  return sums;
}

/** What a pixel is darker than its surroundings by, at the least, to be left out of them. */
const OUTSTANDING = 12;
const ROUNDS = 3;

/** One round: how much darker each pixel is than the mean of what counts about it, over a square of `reach` pixels to each side, cut off at the edges. */
function darken(picture: GreyPicture, counting: Uint8Array, reach: number, dark: Float32Array): void {
  const { values, width, height } = picture;
  const [sums, many] = [sumsOf(picture, counting, false), sumsOf(picture, counting, true)];
  const stride = width + 1;
  for (let y = 0; y < height; y++) {
    const top = Math.max(0, y - reach) * stride;
    const bottom = Math.min(height, y + reach + 1) * stride;
    for (let x = 0; x < width; x++) {
      const left = Math.max(0, x - reach);
      const right = Math.min(width, x + reach + 1);
      const a = bottom + right;
      const b = bottom + left;
      const c = top + right;
      const d = top + left;
      const about = many[a]! - many[b]! - many[c]! + many[d]!;
      if (about > 0) dark[y * width + x] = (sums[a]! - sums[b]! - sums[c]! + sums[d]!) / about - values[y * width + x]!;
    }
  }
}

/**
 * How much darker each pixel is than what lies about it, `reach` px to each side: uneven light and large shades fall away. What stands out dark
 * is left out of its own surroundings, round by round.
 */
export function darkness(picture: GreyPicture, reach: number): Float32Array {
  const dark = new Float32Array(picture.values.length);
  const counting = new Uint8Array(dark.length).fill(1);
  for (let round = 0; round < ROUNDS; round++) {
    darken(picture, counting, reach, dark);
    for (let i = 0; i < dark.length; i++) counting[i] = dark[i]! < OUTSTANDING ? 1 : 0;
  }
  return dark;
}
