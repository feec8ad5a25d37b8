import type { PlanPoint } from './solid.js';

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

/** The outline once round: a first point that is repeated at the end is one. */
export function onceRound(points: readonly PlanPoint[]): readonly PlanPoint[] {
  const [first, last] = [points[0], points[points.length - 1]];
  return points.length > 1 && first![0] === last![0] && first![1] === last![1] ? points.slice(0, -1) : points;
}

/** How far an outline reaches: its lower left corner, and its size, mm. */
export const outlineBox = (outline: readonly PlanPoint[]) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  return { x0, y0, width: Math.max(...xs) - x0, height: Math.max(...ys) - y0 };
};

/** The outline run counter-clockwise, once round. */
export const counterClockwise = (points: readonly PlanPoint[]): readonly PlanPoint[] =>
  outlineArea(points) < 0 ? [...onceRound(points)].reverse() : onceRound(points);

/** While an outline is moved from one distance to another, every corner runs straight from `start` to `end`. */
export interface OutlineStage {
  /** mm moved so far, at its start and at its end. */
  readonly from: number;
  readonly to: number;
  readonly start: readonly PlanPoint[];
  readonly end: readonly PlanPoint[];
}

/** Sides shorter than this have closed, mm. */
const CLOSED = 1e-7;

/** The outline without sides that have closed and without corners that go straight on or straight back. */
function withoutClosed(points: readonly PlanPoint[]): PlanPoint[] {
  let kept = [...points];
  for (let before = -1; before !== kept.length && kept.length >= 3;) {
    before = kept.length;
    kept = kept.filter(([x, y], i) => {
      const [nx, ny] = kept[(i + 1) % kept.length]!;
      return Math.hypot(nx - x, ny - y) > CLOSED;
    });
    kept = kept.filter(([x, y], i) => {
      const [px, py] = kept[(i + kept.length - 1) % kept.length]!;
      const [nx, ny] = kept[(i + 1) % kept.length]!;
      const turn = (x - px) * (ny - y) - (y - py) * (nx - x);
      return Math.abs(turn) > 1e-9 * Math.hypot(x - px, y - py) * Math.hypot(nx - x, ny - y);
    });
  }
  return kept.length < 3 ? [] : kept;
}

/** Where each corner goes for each mm that the sides move outwards, corners mitred. */
function mitres(points: readonly PlanPoint[]): PlanPoint[] {
  const normals = points.map(([x, y], i): PlanPoint => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    const size = Math.hypot(nx - x, ny - y);
    return [(ny - y) / size, (x - nx) / size];
  });
  return normals.map(([bx, by], i): PlanPoint => {
    const [ax, ay] = normals[(i + normals.length - 1) % normals.length]!;
    const share = 1 + ax * bx + ay * by;
    return [(ax + bx) / share, (ay + by) / share];
  });
}

/**
 * Moves a closed outline square to its sides by `distance` mm, outwards above 0, corners mitred: stage by stage, a new one
 * wherever a side has closed. Ends early where nothing is left.
 */
export function outlineStages(points: readonly PlanPoint[], distance: number): OutlineStage[] {
  const sign = Math.sign(distance);
  const stages: OutlineStage[] = [];
  let loop = withoutClosed(counterClockwise(points));
  let moved = 0;
  while (moved < Math.abs(distance) && loop.length >= 3 && outlineArea(loop) > 0) {
    const ways = mitres(loop);
    const closing = loop.map(([x, y], i) => {
      const k = (i + 1) % loop.length;
      const [nx, ny] = loop[k]!;
      const size = Math.hypot(nx - x, ny - y);
      const grows = (sign * ((ways[k]![0] - ways[i]![0]) * (nx - x) + (ways[k]![1] - ways[i]![1]) * (ny - y))) / size;
      return grows < 0 ? -size / grows : Infinity;
    });
    const step = Math.min(Math.abs(distance) - moved, ...closing);
    const end = loop.map(([x, y], i): PlanPoint => [x + sign * step * ways[i]![0], y + sign * step * ways[i]![1]]);
    stages.push({ from: moved, to: moved + step, start: loop, end });
    moved += step;
    loop = withoutClosed(end);
  }
  return stages;
}

/** A closed outline moved square to its sides, outwards above 0 (mm); undefined where nothing is left of it, or where it would fall apart. */
export function moveOutline(points: readonly PlanPoint[], distance: number): readonly PlanPoint[] | undefined {
  if (distance === 0) return counterClockwise(points);
  const last = outlineStages(points, distance).at(-1);
  const moved = last && last.to >= Math.abs(distance) - CLOSED ? withoutClosed(last.end) : [];
  return moved.length >= 3 && outlineArea(moved) > 0 && !selfCrossing(moved) ? moved : undefined;
}

/** The part of an outline with a·x + b·y ≤ c; of one that is not convex, its pieces joined along the cut (Sutherland & Hodgman 1974). */
export function clipOutline(points: readonly PlanPoint[], a: number, b: number, c: number): PlanPoint[] {
  const over = ([x, y]: PlanPoint) => a * x + b * y - c;
  return points.flatMap((point, i): PlanPoint[] => {
    const next = points[(i + 1) % points.length]!;
    const [here, there] = [over(point), over(next)];
    const share = here / (here - there);
    const meet: PlanPoint[] =
      here < 0 !== there < 0
        ? [[point[0] + share * (next[0] - point[0]), point[1] + share * (next[1] - point[1])]]
        : [];
    return here <= 0 ? [point, ...meet] : meet;
  });
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
