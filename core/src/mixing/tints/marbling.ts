/** A picture of marbling: which tint is seen at each point, row by row from the top. */
export interface Marbling {
  readonly width: number;
  readonly height: number;
  /** Index of the tint at each point. */
  readonly at: Uint8Array;
}

/** A repeatable number from 0 to 1 for a knot of the lattice. */
function dice(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 0x27d4eb2d) ^ Math.imul(y, 0x165667b1) ^ Math.imul(seed + 1, 0x9e3779b1);
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

const ease = (t: number) => t * t * (3 - 2 * t);

/** Smooth noise from 0 to 1: dice at whole places, eased between. */
function noise(x: number, y: number, seed: number): number {
  const [i, j] = [Math.floor(x), Math.floor(y)];
  const [u, v] = [ease(x - i), ease(y - j)];
  const row = (k: number) => dice(i, k, seed) * (1 - u) + dice(i + 1, k, seed) * u;
  return row(j) * (1 - v) + row(j + 1) * v;
}

/** Cells of the noise across a picture, how far the flow draws a point along in cells, and how often it is drawn. */
const CELLS = 3.4;
const DRAWN = 2.1;
const TURNS = 2;
/** A pour runs down the wall: veins are longer than they are wide. */
const RUN = 0.6;

/** The field that folds the tints into each other: noise along places that noise itself has moved. Places as shares of the width. */
function field(x: number, y: number, seed: number): number {
  let [px, py] = [x * CELLS, y * RUN * CELLS];
  for (let turn = 0; turn < TURNS; turn++) {
    const salt = seed * 8 + turn * 2 + 11;
    const [dx, dy] = [noise(px, py, salt) - 0.5, noise(px, py, salt + 1) - 0.5];
    px += DRAWN * dx;
    py += DRAWN * dy;
  }
  return 0.72 * noise(px, py, seed) + 0.28 * noise(px * 2.7, py * 2.7, seed + 5);
}

/**
 * A likeness of tints poured together, by a seeded flow: the same seed is the same picture. Each tint covers its share of
 * it, which is all that the picture promises: no pour can be told beforehand. Shares of any sum.
 */
export function marble(shares: readonly number[], seed: number, width: number, height: number): Marbling {
  const values = Float64Array.from({ length: width * height }, (_, i) =>
    field((i % width) / width, Math.floor(i / width) / width, seed),
  );
  const sorted = Float64Array.from(values).sort();
  const whole = shares.reduce((sum, share) => sum + share, 0);
  let below = 0;
  const limits = shares.slice(0, -1).map((share) => {
    below += share / whole;
    return sorted[Math.min(sorted.length - 1, Math.round(below * sorted.length))]!;
  });
  return { width, height, at: Uint8Array.from(values, (value) => limits.filter((limit) => value >= limit).length) };
}
