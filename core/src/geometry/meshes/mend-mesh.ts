import { tick, type Task, type Triangles } from './triangles.js';

/** What a mesh is made of, and what was put right in it. */
export interface MeshParts {
  /** Bodies: triangles that hang together by shared edges. */
  readonly bodies: number;
  /** Bodies whose faces all pointed inwards and were turned. */
  readonly turned: number;
  /** Faces that pointed otherwise than those beside them and were turned: there was one way only to do it. */
  readonly mended: number;
  /** Edges that more than two triangles share. */
  readonly shared: number;
  /** Triangles without an area. */
  readonly degenerate: number;
}

/** Larger meshes are not looked at part by part: that many edges want too much room. */
const MOST_EXAMINED = 300_000;

type Neighbour = readonly [triangle: number, sameWay: boolean];

/** Numbers of the corners of each triangle: corners at one place have one number; −0 is 0. */
function cornersOf(triangles: Triangles, task: Task): Int32Array {
  const known = new Map<string, number>();
  const corners = new Int32Array(triangles.length / 3);
  for (let i = 0; i < corners.length; i++) {
    tick(task, i, corners.length);
    const key = `${triangles[i * 3]! + 0},${triangles[i * 3 + 1]! + 0},${triangles[i * 3 + 2]! + 0}`;
    const number = known.get(key) ?? known.size;
    known.set(key, number);
    corners[i] = number;
  }
  return corners;
}

interface Edges {
  /** Of each triangle, those beside it, and whether both run their edge the same way: one of them is turned then. */
  readonly beside: readonly Neighbour[][];
  readonly shared: number;
}

/** Which triangles lie beside which, over edges that two of them share. */
function edgesOf(corners: Int32Array, task: Task): Edges {
  const count = corners.length / 3;
  const met = new Map<number, { triangle: number; up: boolean }[]>();
  for (let t = 0; t < count; t++) {
    tick(task, t, count);
    for (let k = 0; k < 3; k++) {
      const [from, to] = [corners[t * 3 + k]!, corners[t * 3 + ((k + 1) % 3)]!];
      if (from === to) continue;
      const key = Math.min(from, to) * corners.length + Math.max(from, to);
      const edge = met.get(key);
      const one = { triangle: t, up: from < to };
      if (edge) edge.push(one);
      else met.set(key, [one]);
    }
  }
  const beside = Array.from({ length: count }, (): Neighbour[] => []);
  let shared = 0;
  for (const edge of met.values()) {
    if (edge.length > 2) shared++;
    for (const a of edge)
      for (const b of edge) if (a !== b) beside[a.triangle]!.push([b.triangle, edge.length === 2 && a.up === b.up]);
  }
  return { beside, shared };
}

/** A body: its triangles, those to turn so that all run one way, and whether there is such a way at all. */
interface Body {
  readonly triangles: readonly number[];
  readonly turned: ReadonlySet<number>;
  readonly sound: boolean;
}

function bodyFrom(first: number, beside: Edges['beside'], body: Int32Array, number: number): Body {
  const triangles = [first];
  const turned = new Set<number>();
  let sound = true;
  body[first] = number;
  for (let i = 0; i < triangles.length; i++) {
    const t = triangles[i]!;
    for (const [next, sameWay] of beside[t]!) {
      const turn = turned.has(t) !== sameWay;
      if (body[next] === number) {
        sound &&= turned.has(next) === turn;
        continue;
      }
      body[next] = number;
      if (turn) turned.add(next);
      triangles.push(next);
    }
  }
  return { triangles, turned, sound };
}

/** Turns one face the other way, where it stands. */
export function turnFace(triangles: Triangles, t: number): void {
  for (let k = 0; k < 3; k++) {
    const [a, b] = [t * 9 + 3 + k, t * 9 + 6 + k];
    [triangles[a], triangles[b]] = [triangles[b]!, triangles[a]!];
  }
}

/** Six times what lies under a body’s faces: its volume where it is shut. */
const sixfold = (triangles: Triangles, own: readonly number[]) =>
  own.reduce((sum, t) => {
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = [...triangles.subarray(t * 9, t * 9 + 9)];
    return sum + (az! + bz! + cz!) * ((bx! - ax!) * (cy! - ay!) - (by! - ay!) * (cx! - ax!));
  }, 0);

type Box = readonly [low: readonly number[], high: readonly number[]];

function boxOf(triangles: Triangles, own: readonly number[]): Box {
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (const t of own)
    for (let k = 0; k < 9; k++) {
      const value = triangles[t * 9 + k]!;
      low[k % 3] = Math.min(low[k % 3]!, value);
      high[k % 3] = Math.max(high[k % 3]!, value);
    }
  return [low, high];
}

const within = ([low, high]: Box, [outerLow, outerHigh]: Box) =>
  low.every((value, k) => value >= outerLow[k]!) && high.every((value, k) => value <= outerHigh[k]!);

const isFlat = (triangles: Triangles, t: number) => {
  const at = (corner: number, k: number) => triangles[t * 9 + corner * 3 + k]!;
  const [u, v] = [1, 2].map((corner) => [0, 1, 2].map((k) => at(corner, k) - at(0, k))) as [number[], number[]];
  return Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) === 0;
};

/**
 * A mesh whose bodies have their faces turned outwards, with what it is made of. A body that was partly turned is mended where
 * its shared edges leave one way only. One that lies inside another may be a hollow, and stays as it is.
 * Undefined parts for a mesh that is too large to be looked at so. @throws Stopped
 */
export function mendMesh(given: Triangles, task: Task = {}): { triangles: Triangles; parts?: MeshParts } {
  const count = given.length / 9;
  if (count > MOST_EXAMINED) return { triangles: given };
  const { beside, shared } = edgesOf(cornersOf(given, task), task);
  const triangles = given.slice();
  const bodyOf = new Int32Array(count).fill(-1);
  const bodies: Body[] = [];
  for (let t = 0; t < count; t++) if (bodyOf[t] === -1) bodies.push(bodyFrom(t, beside, bodyOf, bodies.length));
  let mended = 0;
  for (const { turned, sound, triangles: own } of bodies) {
    if (!sound || turned.size === 0) continue;
    // The fewer of the two are the ones that were wrong.
    const few = turned.size * 2 <= own.length;
    for (const t of own) if (turned.has(t) === few) turnFace(triangles, t);
    mended += few ? turned.size : own.length - turned.size;
  }
  const boxes = bodies.map(({ triangles: own }) => boxOf(triangles, own));
  const inward = bodies.filter(
    ({ triangles: own, sound }, i) =>
      sound && sixfold(triangles, own) < 0 && !boxes.some((box, k) => k !== i && within(boxes[i]!, box)),
  );
  for (const { triangles: own } of inward) for (const t of own) turnFace(triangles, t);
  const degenerate = Array.from({ length: count }, (_, t) => t).filter((t) => isFlat(triangles, t)).length;
  return { triangles, parts: { bodies: bodies.length, turned: inward.length, mended, shared, degenerate } };
}
