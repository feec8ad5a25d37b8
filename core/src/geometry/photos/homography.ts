import { solve } from '../../foundation/math/index.js';
import type { PhotoPoint } from './pixels.js';

/** Nine numbers of a plane's picture by a camera, row by row. */
export type Homography = readonly number[];

/** The map that takes four places to four others (Hartley & Zisserman); undefined where three lie in a line. */
export function homography(from: readonly PhotoPoint[], to: readonly PhotoPoint[]): Homography | undefined {
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  const found = solve(
    rows,
    to.flatMap(([u, v]) => [u, v]),
  );
  return found && [...found, 1];
}

/** Where a map takes a place. */
export function mapped(h: Homography, [x, y]: PhotoPoint): PhotoPoint {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}
