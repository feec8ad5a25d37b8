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

/** The bits of a coordinate; −0 is 0. */
const coordinateBits = (raw: number): number => (raw === -0x80000000 ? 0 : raw);

/** Mixes the bits of three coordinates to one number (after MurmurHash3's finaliser); −0 is 0. */
function cornerHash(bits: Int32Array, at: number): number {
  let h = 0x2545f491;
  for (let k = 0; k < 3; k++) {
    h = Math.imul(h ^ coordinateBits(bits[at + k]!), 0x85ebca6b);
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
 * Volume of a shut mesh, its unit cubed; below 0 where its faces point inwards. By the divergence theorem over the field
 * (0, 0, z): each triangle gives what lies under it, mean height × area seen from above. @throws Stopped
 */
export function meshVolume(triangles: Triangles, task: Task = {}): number {
  // From the height of its first corner, so that a mesh far from the middle of its file loses no digits.
  const level = triangles[2]! * 3;
  let six = 0;
  for (let t = 0; t < triangles.length; t += 9) {
    if (t % 294912 === 0) tick(task, t / 9, triangles.length / 9);
    const ax = triangles[t]!;
    const ay = triangles[t + 1]!;
    const seen =
      (triangles[t + 3]! - ax) * (triangles[t + 7]! - ay) - (triangles[t + 4]! - ay) * (triangles[t + 6]! - ax);
    six += (triangles[t + 2]! + triangles[t + 5]! + triangles[t + 8]! - level) * seen;
  }
  return six / 6;
}

/** Area of a mesh's faces and the box about it. */
function meshExtent(triangles: Triangles): Pick<MeshMeasure, 'area' | 'low' | 'high'> {
  let twice = 0;
  let [x0, y0, z0, x1, y1, z1] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity];
  for (let t = 0; t < triangles.length; t += 9) {
    const ux = triangles[t + 3]! - triangles[t]!;
    const uy = triangles[t + 4]! - triangles[t + 1]!;
    const uz = triangles[t + 5]! - triangles[t + 2]!;
    const vx = triangles[t + 6]! - triangles[t]!;
    const vy = triangles[t + 7]! - triangles[t + 1]!;
    const vz = triangles[t + 8]! - triangles[t + 2]!;
    const nx = uy * vz - uz * vy;
    const ny = uz * vx - ux * vz;
    const nz = ux * vy - uy * vx;
    twice += Math.sqrt(nx * nx + ny * ny + nz * nz);
    for (let k = t; k < t + 9; k += 3) {
      const x = triangles[k]!;
      const y = triangles[k + 1]!;
      const z = triangles[k + 2]!;
      if (x < x0) x0 = x;
      if (x > x1) x1 = x;
      if (y < y0) y0 = y;
      if (y > y1) y1 = y;
      if (z < z0) z0 = z;
      if (z > z1) z1 = z;
    }
  }
  return { area: twice / 2, low: [x0, y0, z0], high: [x1, y1, z1] };
}

/**
 * Whether a mesh is shut and turned one way throughout, by two sums of edge numbers, each edge less its way back:
 * both are 0 for such a mesh, and for another only by a chance of one in 2⁶⁴. @throws Stopped
 */
function isShut(triangles: Triangles, task: Task = {}): boolean {
  const bits = new Int32Array(triangles.buffer, triangles.byteOffset, triangles.length);
  const count = triangles.length / 9;
  const hashes = [0, 0, 0, 0];
  let [sum1, sum2] = [0, 0];
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    for (let k = 0; k < 3; k++) hashes[k] = cornerHash(bits, i * 9 + k * 3);
    hashes[3] = hashes[0]!;
    for (let k = 0; k < 3; k++) {
      const [from, to] = [hashes[k]!, hashes[k + 1]!];
      sum1 = (sum1 + edgeHash(from, to, SEEDS[0]) - edgeHash(to, from, SEEDS[0])) | 0;
      sum2 = (sum2 + edgeHash(from, to, SEEDS[1]) - edgeHash(to, from, SEEDS[1])) | 0;
    }
  }
  return sum1 === 0 && sum2 === 0;
}

/** Volume, area, box and shutness of a mesh. @throws Stopped */
export function measureMesh(triangles: Triangles, task: Task = {}): MeshMeasure {
  return {
    triangles: triangles.length / 9,
    volume: meshVolume(triangles, task),
    ...meshExtent(triangles),
    closed: isShut(triangles, task),
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
    const corners = [0, 3, 6].map((k) => [0, 1, 2].map((c) => coordinateBits(bits[i * 9 + k + c]!)).join());
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
