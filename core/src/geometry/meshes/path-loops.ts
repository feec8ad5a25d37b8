import svgpath from 'svgpath';
import type { PlanPoint } from '../solids/index.js';

/** How far the straight pieces of a bend may lie off it, as a share of the path’s size. */
const TOLERANCE = 1e-5;
/** Straight pieces of one bend, at most. */
const MOST_PIECES = 256;

export type Loop = PlanPoint[];

/** Points run through in turn, and whether the last goes back to the first. */
export interface PointRun {
  readonly points: Loop;
  readonly closed: boolean;
}

export const near = ([ax, ay]: PlanPoint, [bx, by]: PlanPoint, within: number) =>
  Math.hypot(ax - bx, ay - by) <= within;

/** Closed loops alone: those that come back to their start, that point once. */
export function closedOf(loops: readonly PointRun[]): Loop[] {
  return loops.flatMap(({ points, closed }) => {
    const size = Math.max(1e-9, ...points.map(([x, y]) => Math.hypot(x - points[0]![0], y - points[0]![1])));
    const bare = points.filter((p, i) => i === 0 || !near(p, points[i - 1]!, size * 1e-7));
    const meets = bare.length > 3 && near(bare[0]!, bare[bare.length - 1]!, size * 1e-3);
    if (!closed && !meets) return [];
    const loop = meets ? bare.slice(0, -1) : bare;
    return loop.length > 2 ? [loop] : [];
  });
}

/** The greater side of the box about a path’s points and handles. */
function sizeOf(path: ReturnType<typeof svgpath>): number {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  const see = (x: number, y: number) => {
    [x0, y0] = [Math.min(x0, x), Math.min(y0, y)];
    [x1, y1] = [Math.max(x1, x), Math.max(y1, y)];
  };
  path.iterate((segment, _, x, y) => {
    see(x, y);
    const [, ...n] = segment as [string, ...number[]];
    for (let i = 0; i + 1 < n.length; i += 2) see(n[i]!, n[i + 1]!);
  });
  return Math.max(1e-9, x1 - x0, y1 - y0);
}

/** How far three points in turn are from even steps along a line. */
const bow = (a: number, b: number, c: number, d: number, e: number, f: number) =>
  Math.hypot(a - 2 * c + e, b - 2 * d + f);

/** Pieces in which a bend stays within a tolerance: its farthest deviation falls with their number squared. */
const piecesOf = (deviation: number, tolerance: number) =>
  Math.min(MOST_PIECES, Math.max(1, Math.ceil(Math.sqrt(deviation / tolerance))));

/** Points of a path whose arcs were made curves already; curves in straight pieces within a tolerance. */
export function flatten(d: string): PointRun[] {
  const loops: { points: Loop; closed: boolean }[] = [];
  const last = () => loops[loops.length - 1]!;
  const path = svgpath(d);
  const tolerance = sizeOf(path) * TOLERANCE;
  const bend = (deviation: number, at: (t: number) => PlanPoint) => {
    const pieces = piecesOf(deviation, tolerance);
    for (let i = 1; i <= pieces; i++) last().points.push(at(i / pieces));
  };
  path.iterate((segment, _, x, y) => {
    const [command, ...n] = segment as [string, ...number[]];
    if (command === 'M') loops.push({ points: [[n[0]!, n[1]!]], closed: false });
    if (command === 'L') last().points.push([n[0]!, n[1]!]);
    if (command === 'H') last().points.push([n[0]!, y]);
    if (command === 'V') last().points.push([x, n[0]!]);
    if (command === 'C') {
      const [a, b, c, e, f, g] = n as [number, number, number, number, number, number];
      // The second derivative of a cubic is at most six times the greater bow of its handles.
      bend(0.75 * Math.max(bow(x, y, a, b, c, e), bow(a, b, c, e, f, g)), (t) => {
        const s = 1 - t;
        const mix = (a: number, b: number, c: number, e: number) =>
          s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * e;
        return [mix(x, a, c, f), mix(y, b, e, g)];
      });
    }
    if (command === 'Q')
      bend(bow(x, y, n[0]!, n[1]!, n[2]!, n[3]!) / 4, (t) => {
        const s = 1 - t;
        return [s * s * x + 2 * s * t * n[0]! + t * t * n[2]!, s * s * y + 2 * s * t * n[1]! + t * t * n[3]!];
      });
    if (command === 'Z') last().closed = true;
  });
  return loops;
}

/** The closed loops of a path in the words of SVG, in its own units; bends in straight pieces. */
export const pathLoops = (d: string): readonly (readonly PlanPoint[])[] =>
  closedOf(flatten(svgpath(d).abs().unshort().unarc().toString()));
