import { firstPlace } from '../../foundation/math/index.js';
import { simplified, type PlanPoint } from '../solids/index.js';
import { tick, type Task, type Triangles } from './triangles.js';

/** Volume below even heights, from the lowest to the highest, in the mesh's unit cubed: exact for a shut mesh. */
export function volumesBelow(
  triangles: Triangles,
  low: number,
  high: number,
  steps: number,
  task: Task = {},
): number[] {
  const step = (high - low) / steps;
  // Whole triangles below a plane at c give a·z̄ − a·c (a the area seen from above): summed once, by the plane above them.
  const areas = new Float64Array(steps + 2);
  const moments = new Float64Array(steps + 2);
  const cut = new Float64Array(steps + 1);
  const count = triangles.length / 9;
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    const t = i * 9;
    const [ax, ay, az] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    const [bx, by, bz] = [triangles[t + 3]!, triangles[t + 4]!, triangles[t + 5]!];
    const [cx, cy, cz] = [triangles[t + 6]!, triangles[t + 7]!, triangles[t + 8]!];
    const area = ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / 2;
    if (area === 0) continue;
    const [bottom, top] = [Math.min(az, bz, cz), Math.max(az, bz, cz)];
    const whole = Math.min(steps + 1, Math.max(0, Math.ceil((top - low) / step - 1e-9)));
    areas[whole]! += area;
    moments[whole]! += (area * (az + bz + cz)) / 3;
    for (let k = Math.max(0, Math.floor((bottom - low) / step) + 1); k < whole; k++)
      cut[k]! += momentBelow(low + k * step, [ax, ay, az], [bx, by, bz], [cx, cy, cz]);
  }
  const volumes: number[] = [];
  let [sumArea, sumMoment] = [0, 0];
  for (let k = 0; k <= steps; k++) {
    sumArea += areas[k]!;
    sumMoment += moments[k]!;
    volumes.push(sumMoment - sumArea * (low + k * step) + cut[k]!);
  }
  return volumes;
}

type Corner = readonly [number, number, number];

/** ∫(z − c) over what is seen from above of the part of a triangle below the plane at `c`. */
function momentBelow(c: number, ...corners: readonly Corner[]): number {
  const below: Corner[] = [];
  corners.forEach((p, i) => {
    const q = corners[(i + 1) % 3]!;
    if (p[2] <= c) below.push(p);
    if (p[2] < c !== q[2] < c && p[2] !== q[2]) {
      const s = (c - p[2]) / (q[2] - p[2]);
      below.push([p[0] + (q[0] - p[0]) * s, p[1] + (q[1] - p[1]) * s, c]);
    }
  });
  let sum = 0;
  for (let i = 1; i + 1 < below.length; i++) {
    const [p, q, r] = [below[0]!, below[i]!, below[i + 1]!];
    const area = ((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])) / 2;
    sum += area * ((p[2] + q[2] + r[2]) / 3 - c);
  }
  return sum;
}

type Piece = readonly [from: PlanPoint, to: PlanPoint];

/** Index of the first height above `z`, of heights that rise. */
const firstAbove = (heights: Float64Array, z: number): number => firstPlace(heights.length, (i) => heights[i]! > z);

/** Where the edge between two corners of a triangle meets a height: the same from either of its triangles. */
function meeting(t: Triangles, p: number, q: number, z: number): PlanPoint {
  const [a, b] = t[p + 2]! < t[q + 2]! ? [p, q] : [q, p];
  const s = (z - t[a + 2]!) / (t[b + 2]! - t[a + 2]!);
  return [t[a]! + (t[b]! - t[a]!) * s, t[a + 1]! + (t[b + 1]! - t[a + 1]!) * s];
}

/** Pieces of the outline at each height, the inside at their left. */
function piecesAt(triangles: Triangles, heights: readonly number[], task: Task): Piece[][] {
  const pieces: Piece[][] = heights.map(() => []);
  const rising = Float64Array.from(heights);
  const count = triangles.length / 9;
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    const t = i * 9;
    const [az, bz, cz] = [triangles[t + 2]!, triangles[t + 5]!, triangles[t + 8]!];
    const top = Math.max(az, bz, cz);
    for (let h = firstAbove(rising, Math.min(az, bz, cz)); h < rising.length && rising[h]! <= top; h++) {
      const z = rising[h]!;
      let up: PlanPoint | undefined;
      let down: PlanPoint | undefined;
      for (let k = 0; k < 9; k += 3) {
        const [p, q] = [t + k, t + ((k + 3) % 9)];
        const [low, high] = [triangles[p + 2]! < z, triangles[q + 2]! < z];
        if (low && !high) up = meeting(triangles, p, q, z);
        else if (!low && high) down = meeting(triangles, p, q, z);
      }
      if (up && down) pieces[h]!.push([down, up]);
    }
  }
  return pieces;
}

/** Points farther off the straight line than this are kept, mm. */
const SMOOTH = 0.15;

/** Joins pieces to closed outlines. */
function joined(pieces: readonly Piece[]): PlanPoint[][] {
  const key = ([x, y]: PlanPoint) => `${x.toFixed(4)} ${y.toFixed(4)}`;
  const from = new Map(pieces.map((piece) => [key(piece[0]), piece]));
  const loops: PlanPoint[][] = [];
  for (const start of [...from.keys()]) {
    const loop: PlanPoint[] = [];
    for (let at = start; from.has(at);) {
      const [point, to] = from.get(at)!;
      from.delete(at);
      loop.push(point);
      at = key(to);
    }
    if (loop.length > 2) loops.push(loop);
  }
  return loops;
}

/** Outlines of a mesh at heights, each list of closed ones; the inside at their left. Coordinates in mm. */
export function outlinesAt(triangles: Triangles, heights: readonly number[], task: Task = {}): PlanPoint[][][] {
  return piecesAt(triangles, heights, task).map((pieces) =>
    joined(pieces)
      .map((loop) => simplified(loop, SMOOTH))
      .filter((loop) => loop.length > 2),
  );
}
