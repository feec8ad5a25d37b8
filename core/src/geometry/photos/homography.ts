import type { PhotoPoint } from './pixels.js';

/** Nine numbers of a plane's picture by a camera, row by row. */
export type Homography = readonly number[];

/** Solves eight equations by elimination with the largest pivot; undefined where they have no one answer. */
function solve(rows: number[][]): number[] | undefined {
  const n = rows.length;
  for (let c = 0; c < n; c++) {
    const pivot = rows.reduce(
      (best, row, r) => (r >= c && Math.abs(row[c]!) > Math.abs(rows[best]![c]!) ? r : best),
      c,
    );
    if (Math.abs(rows[pivot]![c]!) < 1e-12) return undefined;
    [rows[c], rows[pivot]] = [rows[pivot]!, rows[c]!];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const k = rows[r]![c]! / rows[c]![c]!;
      for (let j = c; j <= n; j++) rows[r]![j]! -= k * rows[c]![j]!;
    }
  }
  return rows.map((row, r) => row[n]! / row[r]!);
}

/** The map that takes four places to four others (Hartley & Zisserman); undefined where three lie in a line. */
export function homography(from: readonly PhotoPoint[], to: readonly PhotoPoint[]): Homography | undefined {
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const found = solve(rows);
  return found && [...found, 1];
}

/** Where a map takes a place. */
export function mapped(h: Homography, [x, y]: PhotoPoint): PhotoPoint {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}
