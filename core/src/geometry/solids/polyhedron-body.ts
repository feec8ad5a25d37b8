import { msg, exactly } from '../../foundation/units/index.js';
import { cross, dot, minus, scaled, triple } from '../../foundation/math/index.js';
import { slopeFactor, type Body, type Facet } from './body.js';
import { cornersInOrder, facesOf, openFace, skeletonOf, type Vertex } from './polyhedron.js';
import { integrate } from './quadrature.js';
import { polygonRegion, regionArea } from './region.js';
import type { PlanPoint, Polyhedron, PolyhedronName } from './solid.js';

/** Volume of a solid of edge 1. */
const ofEdgeOne: Record<PolyhedronName, number> = {
  tetrahedron: Math.SQRT2 / 12,
  cube: 1,
  octahedron: Math.SQRT2 / 3,
  cuboctahedron: (5 * Math.SQRT2) / 3,
  rhombicuboctahedron: (12 + 10 * Math.SQRT2) / 3,
  icosahedron: (5 * (3 + Math.sqrt(5))) / 12,
  dodecahedron: (15 + 7 * Math.sqrt(5)) / 4,
};

/** A half-space `normal` · p ≤ `distance`, mm, the open face upwards. */
interface Plane {
  readonly normal: Vertex;
  readonly distance: number;
}

interface Upright {
  readonly planes: readonly Plane[];
  /** Faces but the open one by their corners, where no face was moved. */
  readonly facets?: readonly Facet[];
}

/** Turns the solid so that its open face is level on top and one of that face's edges faces along x. */
function upright(solid: Polyhedron): Upright {
  const { which, edge, open, grown = 0 } = solid;
  const top = openFace(which, open)!;
  const { vertices } = skeletonOf(which);
  const [a, b] = [vertices[top.corners[0]!]!, nearest(top.corners.map((i) => vertices[i]!))];
  const middle = triple((k) => (a[k] + b[k]) / 2);
  const up = top.normal;
  const out = minus(middle, scaled(up, top.distance));
  const x = scaled(out, 1 / Math.hypot(...out));
  const y = cross(up, x);
  const turn = (v: Vertex): Vertex => [dot(v, x), dot(v, y), dot(v, up)];
  const isOpen = (normal: Vertex) => normal[2] > 1 - 1e-9;
  const faces = facesOf(which).map(({ normal, distance, corners }) => ({
    normal: turn(normal),
    distance: distance * edge,
    corners: corners.map((i) => scaled(turn(vertices[i]!), edge)),
  }));
  const planes = faces.map(({ normal, distance }) => ({ normal, distance: distance + (isOpen(normal) ? 0 : grown) }));
  if (grown !== 0) return { planes };
  const closed = faces.filter(({ normal }) => !isOpen(normal));
  return {
    planes,
    facets: closed.map(({ corners, normal }) =>
      cornersInOrder({ corners: corners.map((_, k) => k), normal }, corners).map((k) => corners[k]!),
    ),
  };
}

/** Of the corners of a face, one that shares an edge with the first. */
function nearest([first, ...rest]: Vertex[]): Vertex {
  const apart = (v: Vertex) => Math.hypot(v[0] - first![0], v[1] - first![1], v[2] - first![2]);
  return [...rest].sort((a, b) => apart(a) - apart(b))[0]!;
}

/** Heights of the corners in which three planes meet. */
function cornerHeights(planes: readonly Plane[], size: number): number[] {
  const found: number[] = [];
  const inside = (p: Vertex) => planes.every(({ normal, distance }) => dot(normal, p) <= distance + size * 1e-9);
  planes.forEach((a, i) =>
    planes.slice(i + 1).forEach((b, j) =>
      planes.slice(i + j + 2).forEach((c) => {
        const [bc, ca, ab] = [cross(b.normal, c.normal), cross(c.normal, a.normal), cross(a.normal, b.normal)];
        const whole = dot(a.normal, bc);
        if (Math.abs(whole) < 1e-9) return;
        const p = triple((k) => (a.distance * bc[k] + b.distance * ca[k] + c.distance * ab[k]) / whole);
        if (inside(p) && found.every((z) => Math.abs(z - p[2]) > size * 1e-9)) found.push(p[2]);
      }),
    ),
  );
  return found.sort((a, b) => a - b);
}

/** A side of a level section with the slope factor of the face that it is cut from. */
interface Cut {
  readonly from: PlanPoint;
  readonly factor: number;
}

/** Cuts a level polygon by each face at height `z`. */
function sectionOf(planes: readonly Plane[], z: number, reach: number): Cut[] {
  let cuts: Cut[] = [
    [-reach, -reach],
    [reach, -reach],
    [reach, reach],
    [-reach, reach],
  ].map(([x, y]) => ({ from: [x!, y!], factor: 1 }));
  for (const { normal, distance } of planes) {
    const flat = Math.hypot(normal[0], normal[1]);
    if (flat < 1e-12) continue;
    const factor = slopeFactor(normal[2] / flat);
    const over = ({ from: [x, y] }: Cut) => normal[0] * x + normal[1] * y + normal[2] * z - distance;
    const kept: Cut[] = [];
    cuts.forEach((cut, i) => {
      const next = cuts[(i + 1) % cuts.length]!;
      const [here, there] = [over(cut), over(next)];
      if (here <= 0) kept.push(cut);
      if (here <= 0 === there <= 0) return;
      const t = here / (here - there);
      const at: PlanPoint = [
        cut.from[0] + (next.from[0] - cut.from[0]) * t,
        cut.from[1] + (next.from[1] - cut.from[1]) * t,
      ];
      // Leaving the half-space, the new side runs along this face; coming back, the old side goes on.
      kept.push({ from: at, factor: here <= 0 ? factor : cut.factor });
    });
    cuts = kept;
  }
  return cuts;
}

export function polyhedronBody(solid: Polyhedron): Body {
  const { which, edge, open, grown = 0 } = solid;
  const { planes, facets } = upright(solid);
  const size = edge + Math.abs(grown);
  const heights = cornerHeights(planes, size);
  const bottom = heights[0]!;
  const height = heights[heights.length - 1]! - bottom;
  const breaks = heights.slice(1, -1).map((z) => z - bottom);
  const at = (z: number) => sectionOf(planes, z + bottom, size * 10);
  const regionAt = (z: number) => polygonRegion(at(z).map(({ from }) => from));
  const ends = [0, ...breaks, height];
  const summed = () =>
    ends.slice(1).reduce((sum, high, i) => sum + integrate((z) => regionArea(regionAt(z)), ends[i]!, high), 0);
  return {
    height,
    breaks,
    regionAt,
    surfaceAt: (z) => {
      const cuts = at(z);
      return cuts.reduce((sum, { from, factor }, i) => {
        const to = cuts[(i + 1) % cuts.length]!.from;
        return sum + Math.hypot(to[0] - from[0], to[1] - from[1]) * factor;
      }, 0);
    },
    whole:
      grown === 0
        ? { volume: ofEdgeOne[which] * edge ** 3, how: `${ofEdgeOne[which].toFixed(4)} · edge³` }
        : { volume: summed(), how: msg('solids.facesMoved', { grown: exactly(grown, 'mm'), open }) },
    nearest: ([x, y, z]) => {
      const p: Vertex = [x, y, z + bottom];
      const away = ({ normal, distance }: Plane) => distance - dot(normal, p);
      const sides = planes.filter(({ normal }) => normal[2] < 1 - 1e-9);
      const next = sides.reduce((best, plane) => (away(plane) < away(best) ? plane : best));
      const by = away(next);
      return [x + next.normal[0] * by, y + next.normal[1] * by, z + next.normal[2] * by];
    },
    ...(facets && { facets: facets.map((facet) => facet.map(([fx, fy, fz]): Vertex => [fx, fy, fz - bottom])) }),
  };
}
