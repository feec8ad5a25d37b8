import { tick, type Task, type Triangles } from './triangles.js';

/** Size and shutness of a mesh, in its own unit. */
export interface MeshMeasure {
  readonly triangles: number;
  /** By the divergence theorem; below 0 where its faces point inwards. */
  readonly volume: number;
  readonly area: number;
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
  /** Whether each edge is met by one that runs the other way: shut, and turned one way throughout. */
  readonly closed: boolean;
}

/** Mixes the bits of three coordinates to one number (after MurmurHash3's finaliser); −0 is 0. */
function cornerHash(bits: Int32Array, at: number): number {
  let h = 0x2545f491;
  for (let k = 0; k < 3; k++) {
    const raw = bits[at + k]!;
    h = Math.imul(h ^ (raw === -0x80000000 ? 0 : raw), 0x85ebca6b);
    h ^= h >>> 13;
  }
  h = Math.imul(h, 0xc2b2ae35);
  return h ^ (h >>> 16);
}

/** Mixes two corners to the number of the edge from one to the other. */
function edgeHash(from: number, to: number, seed: number): number {
  let h = Math.imul(from ^ seed, 0xcc9e2d51);
  h = Math.imul((h << 15) | (h >>> 17), 0x1b873593) ^ to;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  return h ^ (h >>> 13);
}

const SEEDS = [0x9e3779b9 | 0, 0x7f4a7c15] as const;

/**
 * Measures a mesh in one pass. Shutness by two sums of edge numbers, each edge less its way back:
 * both are 0 for a shut mesh, and for another only by a chance of one in 2⁶⁴. @throws Stopped
 */
export function measureMesh(triangles: Triangles, task: Task = {}): MeshMeasure {
  const bits = new Int32Array(triangles.buffer, triangles.byteOffset, triangles.length);
  const count = triangles.length / 9;
  const [ox, oy, oz] = [triangles[0]!, triangles[1]!, triangles[2]!];
  let six = 0;
  let twice = 0;
  let [sum1, sum2] = [0, 0];
  let [x0, y0, z0, x1, y1, z1] = [ox, oy, oz, ox, oy, oz];
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    const t = i * 9;
    const ax = triangles[t]! - ox;
    const ay = triangles[t + 1]! - oy;
    const az = triangles[t + 2]! - oz;
    const bx = triangles[t + 3]! - ox;
    const by = triangles[t + 4]! - oy;
    const bz = triangles[t + 5]! - oz;
    const cx = triangles[t + 6]! - ox;
    const cy = triangles[t + 7]! - oy;
    const cz = triangles[t + 8]! - oz;
    six += ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx);
    const nx = (by - ay) * (cz - az) - (bz - az) * (cy - ay);
    const ny = (bz - az) * (cx - ax) - (bx - ax) * (cz - az);
    const nz = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    twice += Math.sqrt(nx * nx + ny * ny + nz * nz);
    for (let k = t; k < t + 9; k += 3) {
      const x = triangles[k]!;
      const y = triangles[k + 1]!;
      const z = triangles[k + 2]!;
      if (x < x0) x0 = x;
      else if (x > x1) x1 = x;
      if (y < y0) y0 = y;
      else if (y > y1) y1 = y;
      if (z < z0) z0 = z;
      else if (z > z1) z1 = z;
    }
    const a = cornerHash(bits, t);
    const b = cornerHash(bits, t + 3);
    const c = cornerHash(bits, t + 6);
    sum1 = (sum1 + edgeHash(a, b, SEEDS[0]) + edgeHash(b, c, SEEDS[0]) + edgeHash(c, a, SEEDS[0])) | 0;
    sum1 = (sum1 - edgeHash(b, a, SEEDS[0]) - edgeHash(c, b, SEEDS[0]) - edgeHash(a, c, SEEDS[0])) | 0;
    sum2 = (sum2 + edgeHash(a, b, SEEDS[1]) + edgeHash(b, c, SEEDS[1]) + edgeHash(c, a, SEEDS[1])) | 0;
    sum2 = (sum2 - edgeHash(b, a, SEEDS[1]) - edgeHash(c, b, SEEDS[1]) - edgeHash(a, c, SEEDS[1])) | 0;
  }
  return {
    triangles: count,
    volume: six / 6,
    area: twice / 2,
    low: [x0, y0, z0],
    high: [x1, y1, z1],
    closed: sum1 === 0 && sum2 === 0,
  };
}

/** A place where a mesh is not shut. */
export interface OpenEdge {
  readonly at: readonly [number, number, number];
  /** A hole has a face on one side only; a fold has two that run the same way. */
  readonly what: 'hole' | 'fold';
}

/** Where a mesh is open: how many edges, and the first places of them. @throws Stopped */
export function openEdges(triangles: Triangles, most = 20, task: Task = {}): { count: number; places: OpenEdge[] } {
  const bits = new Int32Array(triangles.buffer, triangles.byteOffset, triangles.length);
  const count = triangles.length / 9;
  const known = new Map<string, { turns: number; at: number }>();
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    const corners = [0, 3, 6].map((k) => [0, 1, 2].map((c) => bits[i * 9 + k + c]! | 0).join());
    for (let k = 0; k < 3; k++) {
      const [from, to] = [corners[k]!, corners[(k + 1) % 3]!];
      if (from === to) continue;
      const [key, way] = from < to ? [`${from} ${to}`, 1] : [`${to} ${from}`, -1];
      const edge = known.get(key);
      if (!edge) known.set(key, { turns: way, at: i * 9 + k * 3 });
      else if (edge.turns + way === 0) known.delete(key);
      else edge.turns += way;
    }
  }
  const places = [...known.values()].slice(0, most).map(({ turns, at }): OpenEdge => ({
    at: [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!],
    what: Math.abs(turns) > 1 ? 'fold' : 'hole',
  }));
  return { count: known.size, places };
}
