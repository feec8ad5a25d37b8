/** Three numbers: a place, a direction, or the channels of a colour. */
export type Triple = readonly [number, number, number];

/** Three numbers, each by its place. */
export const triple = (of: (k: 0 | 1 | 2) => number): Triple => [of(0), of(1), of(2)];

/** The difference of two. */
export const minus = (a: Triple, b: Triple): Triple => triple((k) => a[k] - b[k]);

/** Each number times the same. */
export const scaled = (a: Triple, by: number): Triple => triple((k) => a[k] * by);

/** The scalar product. */
export const dot = (a: Triple, b: Triple): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** The vector product: at right angles to both. */
export const cross = (a: Triple, b: Triple): Triple => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
