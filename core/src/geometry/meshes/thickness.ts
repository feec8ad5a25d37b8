import { cross, scaled, triple, type Triple } from '../../foundation/math/index.js';
import { tick, type Task, type Triangles } from './triangles.js';

/** How thick a mesh is at a place on its face: the way straight in to the face behind, mm. */
export interface Thickness {
  readonly at: readonly [number, number, number];
  readonly thickness: number;
}

/** Triangles by the cells of an even grid that they reach into. */
interface Grid {
  readonly low: readonly number[];
  readonly cell: number;
  readonly size: readonly [number, number, number];
  readonly starts: Uint32Array;
  readonly members: Uint32Array;
}

const MOST_CELLS = 96;

function cellsOf(
  triangles: Triangles,
  t: number,
  { low, cell, size }: Omit<Grid, 'starts' | 'members'>,
): [number[], number[]] {
  const range = (pick: (...n: number[]) => number) =>
    [0, 1, 2].map((k) => {
      const at = Math.floor((pick(triangles[t + k]!, triangles[t + 3 + k]!, triangles[t + 6 + k]!) - low[k]!) / cell);
      return Math.min(size[k]! - 1, Math.max(0, at));
    });
  return [range(Math.min), range(Math.max)];
}

/** Calls `visit` for each cell that the box of a triangle reaches into. */
function eachCell([from, to]: [number[], number[]], size: readonly number[], visit: (cell: number) => void): void {
  for (let z = from[2]!; z <= to[2]!; z++)
    for (let y = from[1]!; y <= to[1]!; y++)
      for (let x = from[0]!; x <= to[0]!; x++) visit((z * size[1]! + y) * size[0]! + x);
}

function gridOf(triangles: Triangles, low: readonly number[], high: readonly number[]): Grid {
  const longest = Math.max(...high.map((n, k) => n - low[k]!));
  const count = triangles.length / 9;
  const along = Math.min(MOST_CELLS, Math.max(4, Math.round(Math.cbrt(count) * 1.5)));
  const cell = longest / along || 1;
  const size = high.map((n, k) => Math.max(1, Math.ceil((n - low[k]!) / cell + 1e-9))) as [number, number, number];
  const plain = { low, cell, size };
  const starts = new Uint32Array(size[0] * size[1] * size[2] + 1);
  for (let i = 0; i < count; i++) eachCell(cellsOf(triangles, i * 9, plain), size, (c) => starts[c + 1]!++);
  for (let c = 1; c < starts.length; c++) starts[c]! += starts[c - 1]!;
  const members = new Uint32Array(starts[starts.length - 1]!);
  const next = starts.slice(0, -1);
  for (let i = 0; i < count; i++)
    eachCell(cellsOf(triangles, i * 9, plain), size, (c) => (members[next[c]!++] = i * 9));
  return { ...plain, starts, members };
}

/** Where a ray meets a triangle, mm along it (Möller & Trumbore 1997); nothing behind its start. */
function meets(triangles: Triangles, t: number, o: Triple, d: Triple): number {
  const [ax, ay, az] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
  const [ux, uy, uz] = [triangles[t + 3]! - ax, triangles[t + 4]! - ay, triangles[t + 5]! - az];
  const [vx, vy, vz] = [triangles[t + 6]! - ax, triangles[t + 7]! - ay, triangles[t + 8]! - az];
  const [px, py, pz] = [d[1] * vz - d[2] * vy, d[2] * vx - d[0] * vz, d[0] * vy - d[1] * vx];
  const whole = ux * px + uy * py + uz * pz;
  if (Math.abs(whole) < 1e-12) return Infinity;
  const [sx, sy, sz] = [o[0] - ax, o[1] - ay, o[2] - az];
  const a = (sx * px + sy * py + sz * pz) / whole;
  if (a < -1e-9 || a > 1 + 1e-9) return Infinity;
  const [qx, qy, qz] = [sy * uz - sz * uy, sz * ux - sx * uz, sx * uy - sy * ux];
  const b = (d[0] * qx + d[1] * qy + d[2] * qz) / whole;
  if (b < -1e-9 || a + b > 1 + 1e-9) return Infinity;
  const far = (vx * qx + vy * qy + vz * qz) / whole;
  return far > 0 ? far : Infinity;
}

/** Way of a ray to the first face, walking cell by cell (Amanatides & Woo 1987). */
function wayTo(triangles: Triangles, grid: Grid, o: Triple, d: Triple, self: number): number {
  const { low, cell, size, starts, members } = grid;
  const at = [0, 1, 2].map((k) => Math.min(size[k]! - 1, Math.max(0, Math.floor((o[k]! - low[k]!) / cell))));
  const step = d.map((n) => (n > 0 ? 1 : -1));
  const every = d.map((n) => (n === 0 ? Infinity : Math.abs(cell / n)));
  const next = [0, 1, 2].map((k) => {
    if (d[k] === 0) return Infinity;
    return (low[k]! + (at[k]! + (step[k]! > 0 ? 1 : 0)) * cell - o[k]!) / d[k]!;
  });
  let best = Infinity;
  for (;;) {
    const c = (at[2]! * size[1] + at[1]!) * size[0] + at[0]!;
    for (let m = starts[c]!; m < starts[c + 1]!; m++) {
      const t = members[m]!;
      if (t !== self) best = Math.min(best, meets(triangles, t, o, d));
    }
    const k = next[0]! < next[1]! ? (next[0]! < next[2]! ? 0 : 2) : next[1]! < next[2]! ? 1 : 2;
    if (best <= next[k]!) return best;
    at[k]! += step[k]!;
    if (at[k]! < 0 || at[k]! >= size[k]!) return best;
    next[k]! += every[k]!;
  }
}

/** Places on a mesh whose thickness is measured, evenly picked from its triangles. */
const PLACES = 2400;

/**
 * Thickness straight in from the middle of many triangles (mm, faces turned outwards), thinnest first. @throws Stopped
 */
export function thicknessMap(triangles: Triangles, low: Triple, high: Triple, task: Task = {}): Thickness[] {
  const grid = gridOf(triangles, low, high);
  const count = triangles.length / 9;
  const every = Math.max(1, Math.floor(count / PLACES));
  const found: Thickness[] = [];
  for (let i = 0; i < count; i += every) {
    tick(task, found.length * 64, PLACES * 64);
    const t = i * 9;
    const side = (from: number) => triple((k) => triangles[t + from + k]! - triangles[t + k]!);
    const normal = cross(side(3), side(6));
    const size = Math.hypot(...normal);
    if (size === 0) continue;
    const at = triple((k) => (triangles[t + k]! + triangles[t + 3 + k]! + triangles[t + 6 + k]!) / 3);
    const inwards = scaled(normal, -1 / size);
    const thickness = wayTo(triangles, grid, at, inwards, t);
    if (Number.isFinite(thickness)) found.push({ at, thickness });
  }
  return found.sort((a, b) => a.thickness - b.thickness);
}
