import { cross, dot, minus, scaled, triple, type Triple } from '../../foundation/math/index.js';
import type { FaceName, PolyhedronName } from './solid.js';

export type Vertex = Triple;

/** Corners and edges (pairs of corners) of a solid made of equal edges of length 1, its middle at the origin. */
export interface Skeleton {
  readonly vertices: readonly Vertex[];
  readonly edges: readonly (readonly [number, number])[];
}

/** A face's plane, `normal` · p = `distance`, with the corners that lie on it. */
export interface Face {
  readonly normal: Vertex;
  readonly distance: number;
  readonly corners: readonly number[];
}

const GOLDEN = (1 + Math.sqrt(5)) / 2;

/** Every corner that changes of sign make of one. */
function signs([x, y, z]: Vertex): Vertex[] {
  const both = (n: number) => (n === 0 ? [0] : [n, -n]);
  return both(x).flatMap((a) => both(y).flatMap((b) => both(z).map((c): Vertex => [a, b, c])));
}

/** The three turns of a corner's coordinates. */
const turns = ([x, y, z]: Vertex): Vertex[] => [
  [x, y, z],
  [y, z, x],
  [z, x, y],
];

const corners: Record<PolyhedronName, readonly Vertex[]> = {
  tetrahedron: [
    [1, 1, 1],
    [1, -1, -1],
    [-1, 1, -1],
    [-1, -1, 1],
  ],
  cube: signs([1, 1, 1]),
  octahedron: turns([1, 0, 0]).flatMap(signs),
  cuboctahedron: turns([1, 1, 0]).flatMap(signs),
  rhombicuboctahedron: turns([1, 1, 1 + Math.SQRT2]).flatMap(signs),
  icosahedron: turns([0, 1, GOLDEN]).flatMap(signs),
  dodecahedron: [...signs([1, 1, 1]), ...turns([0, 1 / GOLDEN, GOLDEN]).flatMap(signs)],
};

/** Every solid of equal edges that is known. */
export const polyhedronNames = Object.keys(corners) as PolyhedronName[];

const distance = (a: Vertex, b: Vertex) => Math.hypot(...minus(a, b));

/** What is made once for each solid. */
function once<T>(make: (which: PolyhedronName) => T): (which: PolyhedronName) => T {
  const made = new Map<PolyhedronName, T>();
  return (which) => {
    const known = made.get(which) ?? make(which);
    made.set(which, known);
    return known;
  };
}

function makeSkeleton(which: PolyhedronName): Skeleton {
  const all = corners[which];
  const pairs = all.flatMap((a, i) => all.slice(i + 1).map((b, j) => ({ i, j: i + 1 + j, apart: distance(a, b) })));
  const edge = Math.min(...pairs.map(({ apart }) => apart));
  return {
    vertices: all.map(([x, y, z]): Vertex => [x / edge, y / edge, z / edge]),
    edges: pairs.filter(({ apart }) => apart < edge * (1 + 1e-6)).map(({ i, j }) => [i, j] as const),
  };
}

/** The skeleton of a solid of equal edges: neighbours are the corners that stand nearest. */
export const skeletonOf = once(makeSkeleton);

const NEAR = 1e-9;

function makeFaces(which: PolyhedronName): readonly Face[] {
  const { vertices } = skeletonOf(which);
  const found: Face[] = [];
  vertices.forEach((a, i) =>
    vertices.slice(i + 1).forEach((b, j) =>
      vertices.slice(i + j + 2).forEach((c) => {
        const across = cross(minus(b, a), minus(c, a));
        const size = Math.hypot(...across);
        const facing = dot(across, a) < 0 ? -1 : 1;
        const normal = scaled(across, facing / size);
        const far = dot(normal, a);
        if (vertices.some((v) => dot(normal, v) > far + NEAR)) return;
        if (found.some((face) => dot(face.normal, normal) > 1 - NEAR)) return;
        const on = vertices.flatMap((v, k) => (dot(normal, v) > far - NEAR ? [k] : []));
        found.push({ normal, distance: far, corners: on });
      }),
    ),
  );
  return found;
}

/** Faces of a solid of equal edges of length 1: the planes through three corners with all others on one side. */
export const facesOf = once(makeFaces);

/** Corners of a face in order round it, counter-clockwise as seen from outside; `vertices` of the solid, wherever it stands. */
export function cornersInOrder(
  { corners, normal }: Pick<Face, 'corners' | 'normal'>,
  vertices: readonly Vertex[],
): number[] {
  const middle = triple((k) => corners.reduce((sum, at) => sum + vertices[at]![k], 0) / corners.length);
  const from = minus(vertices[corners[0]!]!, middle);
  const across = cross(normal, from);
  const angle = (at: number) => {
    const out = minus(vertices[at]!, middle);
    return Math.atan2(dot(out, across), dot(out, from));
  };
  return [...corners].sort((a, b) => angle(a) - angle(b));
}

const sidesOf: Record<FaceName, number> = { triangle: 3, square: 4, pentagon: 5 };

/** The kinds of face that a solid has, one of which is left open. */
export function openingsOf(which: PolyhedronName): FaceName[] {
  const counts = new Set(facesOf(which).map((face) => face.corners.length));
  return (Object.keys(sidesOf) as FaceName[]).filter((name) => counts.has(sidesOf[name]));
}

/** The face that is left open: of several kinds of square the one that lies square to an axis of the solid. */
export function openFace(which: PolyhedronName, open: FaceName): Face | undefined {
  const straight = ({ normal }: Face) => Math.max(...normal.map(Math.abs));
  return facesOf(which)
    .filter((face) => face.corners.length === sidesOf[open])
    .sort((a, b) => straight(b) - straight(a))[0];
}
