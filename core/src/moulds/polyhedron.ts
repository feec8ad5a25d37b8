import type { PolyhedronName } from './measured-solid.js';

type Vertex = readonly [x: number, y: number, z: number];

/** Corners and edges (pairs of corners) of a solid made of equal edges of length 1, its middle at the origin. */
export interface Skeleton {
  readonly vertices: readonly Vertex[];
  readonly edges: readonly (readonly [number, number])[];
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

const distance = (a: Vertex, b: Vertex) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The skeleton of a solid of equal edges: neighbours are the corners that stand nearest. */
export function skeletonOf(which: PolyhedronName): Skeleton {
  const all = corners[which];
  const pairs = all.flatMap((a, i) => all.slice(i + 1).map((b, j) => ({ i, j: i + 1 + j, apart: distance(a, b) })));
  const edge = Math.min(...pairs.map(({ apart }) => apart));
  return {
    vertices: all.map(([x, y, z]): Vertex => [x / edge, y / edge, z / edge]),
    edges: pairs.filter(({ apart }) => apart < edge * (1 + 1e-6)).map(({ i, j }) => [i, j] as const),
  };
}
