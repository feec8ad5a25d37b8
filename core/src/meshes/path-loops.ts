import svgpath from 'svgpath';
import type { PlanPoint } from '../solids/index.js';

/** Straight pieces of a bend. */
const BEND = 16;

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

/** Points of a path whose arcs were made curves already; curves in straight pieces. */
export function flatten(d: string): PointRun[] {
  const loops: { points: Loop; closed: boolean }[] = [];
  const last = () => loops[loops.length - 1]!;
  const bend = (at: (t: number) => PlanPoint) => {
    for (let i = 1; i <= BEND; i++) last().points.push(at(i / BEND));
  };
  svgpath(d).iterate((segment, _, x, y) => {
    const [command, ...n] = segment as [string, ...number[]];
    if (command === 'M') loops.push({ points: [[n[0]!, n[1]!]], closed: false });
    if (command === 'L') last().points.push([n[0]!, n[1]!]);
    if (command === 'H') last().points.push([n[0]!, y]);
    if (command === 'V') last().points.push([x, n[0]!]);
    if (command === 'C')
      bend((t) => {
        const s = 1 - t;
        const mix = (a: number, b: number, c: number, e: number) =>
          s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * e;
        return [mix(x, n[0]!, n[2]!, n[4]!), mix(y, n[1]!, n[3]!, n[5]!)];
      });
    if (command === 'Q')
      bend((t) => {
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
