import { EndType, inflatePathsD, JoinType } from 'clipper2-ts';
import type { PlanPoint } from './solid.js';

/** Digits after the point that outlines keep when they are moved, mm. */
const PRECISION = 6;
/** Corners are mitred up to this many times the distance moved; sharper ones are cut. */
const MITRE = 20;

/** Signed area of a closed outline, mm²: above 0 counter-clockwise. */
export function outlineArea(points: readonly PlanPoint[]): number {
  return (
    points.reduce((sum, [x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length]!;
      return sum + x * ny - nx * y;
    }, 0) / 2
  );
}

/** Length of a closed outline, mm. */
export function outlineLength(points: readonly PlanPoint[]): number {
  return points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);
}

/** The outline run counter-clockwise. */
export const counterClockwise = (points: readonly PlanPoint[]): readonly PlanPoint[] =>
  outlineArea(points) < 0 ? [...points].reverse() : points;

/** A closed outline moved outwards by `distance` mm (inwards below 0), corners mitred. May fall into several, or none. */
export function moveOutline(points: readonly PlanPoint[], distance: number): PlanPoint[][] {
  if (distance === 0) return [[...counterClockwise(points)]];
  const path = counterClockwise(points).map(([x, y]) => ({ x, y }));
  return inflatePathsD([path], distance, JoinType.Miter, EndType.Polygon, MITRE, PRECISION).map((moved) =>
    moved.map(({ x, y }): PlanPoint => [x, y]),
  );
}

/** The first place where an outline crosses itself, mm; undefined where it does not. */
export function selfCrossing(points: readonly PlanPoint[]): PlanPoint | undefined {
  const n = points.length;
  for (let i = 0; i < n; i++) {
    const [ax, ay] = points[i]!;
    const [bx, by] = points[(i + 1) % n]!;
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [cx, cy] = points[j]!;
      const [dx, dy] = points[(j + 1) % n]!;
      const cross = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
      if (cross === 0) continue;
      const s = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / cross;
      const t = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / cross;
      if (s >= 0 && s <= 1 && t >= 0 && t <= 1) return [ax + (bx - ax) * s, ay + (by - ay) * s];
    }
  }
  return undefined;
}

/** A closed outline without the points that lie within `tolerance` of straight runs (Douglas & Peucker 1973). */
export function simplified(loop: readonly PlanPoint[], tolerance: number): PlanPoint[] {
  const keep = new Uint8Array(loop.length);
  const far = Math.floor(loop.length / 2);
  keep[0] = 1;
  keep[far] = 1;
  const open: [number, number][] = [
    [0, far],
    [far, loop.length],
  ];
  for (let range = open.pop(); range; range = open.pop()) {
    const [from, to] = range;
    const [a, b] = [loop[from]!, loop[to % loop.length]!];
    const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    let [most, at] = [tolerance, -1];
    for (let i = from + 1; i < to; i++) {
      const off = Math.abs((b[0] - a[0]) * (loop[i]![1] - a[1]) - (b[1] - a[1]) * (loop[i]![0] - a[0])) / size;
      if (off > most) [most, at] = [off, i];
    }
    if (at === -1) continue;
    keep[at] = 1;
    open.push([from, at], [at, to]);
  }
  return loop.filter((_, i) => keep[i]);
}
