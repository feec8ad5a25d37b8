import { outlineArea } from '../solids/index.js';
import { homography } from './homography.js';
import type { PhotoPoint } from './pixels.js';

/** Four corners of a card on a picture, in order round it. */
export type Corners = readonly [PhotoPoint, PhotoPoint, PhotoPoint, PhotoPoint];

const away = ([ax, ay]: PhotoPoint, [bx, by]: PhotoPoint, [px, py]: PhotoPoint) =>
  ((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / (Math.hypot(bx - ax, by - ay) || 1);

/** The two points of an outline that lie farthest apart, then the farthest to each side: rough corners. */
function roughCorners(outline: readonly PhotoPoint[]): number[] | undefined {
  const farthest = (from: PhotoPoint) =>
    outline.reduce((best, [x, y], i) => {
      const [bx, by] = outline[best]!;
      return Math.hypot(x - from[0], y - from[1]) > Math.hypot(bx - from[0], by - from[1]) ? i : best;
    }, 0);
  const a = farthest(outline[0]!);
  const b = farthest(outline[a]!);
  const side = (sign: 1 | -1) =>
    outline.reduce((best, p, i) => {
      const far = (q: PhotoPoint) => sign * away(outline[a]!, outline[b]!, q);
      return far(p) > far(outline[best]!) ? i : best;
    }, a);
  const found = [...new Set([a, b, side(1), side(-1)])].sort((m, n) => m - n);
  return found.length === 4 ? found : undefined;
}

interface Line {
  readonly at: PhotoPoint;
  readonly way: PhotoPoint;
  /** Mean distance of its points, px. */
  readonly off: number;
}

/** The straight line nearest to points, by their principal axis. */
function lineThrough(points: readonly PhotoPoint[]): Line {
  const n = points.length;
  const [mx, my] = [points.reduce((s, [x]) => s + x, 0) / n, points.reduce((s, [, y]) => s + y, 0) / n];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const way: PhotoPoint = [Math.cos(angle), Math.sin(angle)];
  const off = points.reduce((s, [x, y]) => s + Math.abs((x - mx) * way[1] - (y - my) * way[0]), 0) / n;
  return { at: [mx, my], way, off };
}

function crossing(a: Line, b: Line): PhotoPoint | undefined {
  const turn = a.way[0] * b.way[1] - a.way[1] * b.way[0];
  if (Math.abs(turn) < 1e-6) return undefined;
  const t = ((b.at[0] - a.at[0]) * b.way[1] - (b.at[1] - a.at[1]) * b.way[0]) / turn;
  return [a.at[0] + a.way[0] * t, a.at[1] + a.way[1] * t];
}

/** Share of each side at its ends that is left out, where corners are rounded. */
const ENDS = 0.14;

/** A patch as a four-sided card: lines through its sides, met in its corners, and how well they fit (0 is best). */
export function cardOf(outline: readonly PhotoPoint[]): { corners: Corners; misfit: number } | undefined {
  if (outline.length < 24) return undefined;
  const rough = roughCorners(outline);
  if (!rough) return undefined;
  const lines = rough.map((from, i) => {
    const to = rough[(i + 1) % 4]!;
    const count = (to - from + outline.length) % outline.length;
    const skip = Math.max(1, Math.floor(count * ENDS));
    const side = Array.from(
      { length: Math.max(0, count - 2 * skip) },
      (_, k) => outline[(from + skip + k) % outline.length]!,
    );
    return side.length > 3 ? lineThrough(side) : undefined;
  });
  if (lines.some((line) => line === undefined)) return undefined;
  const [first, second, third, last] = lines.map((line, i) => crossing(lines[(i + 3) % 4]!, line!));
  if (!first || !second || !third || !last) return undefined;
  const corners: Corners = [first, second, third, last];
  const area = Math.abs(outlineArea(outline));
  const own = Math.abs(outlineArea(corners));
  const size = Math.sqrt(area);
  const bent = Math.max(...lines.map((line) => line!.off)) / size;
  return { corners, misfit: Math.abs(own / area - 1) + 4 * bent };
}

/** Focal lengths of cameras, in longer sides of their pictures: beyond these a guess is taken. */
const LENSES = [0.5, 4] as const;
const USUAL_LENS = 1.1;

/** How far from true a card of these sizes would be, seen so: 0 where its sides come out as long as they are. */
function untrue(corners: Corners, width: number, height: number, picture: readonly [number, number]): number {
  const plane: Corners = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const longer = Math.max(...picture);
  const centred = corners.map(([x, y]): PhotoPoint => [(x - picture[0] / 2) / longer, (y - picture[1] / 2) / longer]);
  const h = homography(plane, centred);
  if (!h) return Infinity;
  const [a, b] = [
    [h[0]!, h[3]!, h[6]!],
    [h[1]!, h[4]!, h[7]!],
  ] as const;
  // Square pixels, the lens over the middle: the sides stand square, which gives the focal length (Zhang 2000).
  const square = -(a[0] * b[0] + a[1] * b[1]) / (a[2] * b[2]);
  const lens = Math.sqrt(square) >= LENSES[0] && Math.sqrt(square) <= LENSES[1] ? Math.sqrt(square) : USUAL_LENS;
  const long = ([x, y, w]: readonly [number, number, number]) => Math.hypot(x / lens, y / lens, w);
  return Math.abs(Math.log(long(a) / long(b)));
}

/** How far from true a card is, whichever way round it lies. */
export const cardUntrue = (
  corners: Corners,
  width: number,
  height: number,
  picture: readonly [number, number],
): number => Math.min(untrue(corners, width, height, picture), untrue(corners, height, width, picture));

/** Turns the corners so that the first side is the card's width: the way round in which it comes out true. */
export function turnCard(corners: Corners, width: number, height: number, picture: readonly [number, number]): Corners {
  const [a, b, c, d] = corners;
  const turned: Corners = [b, c, d, a];
  return untrue(corners, width, height, picture) <= untrue(turned, width, height, picture) ? corners : turned;
}
