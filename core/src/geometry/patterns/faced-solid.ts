import { cross, defined, dot, minus, scaled, triple, type Triple } from '../../foundation/math/index.js';
import { clipOutline, cornersInOrder, facesOf, openFace, skeletonOf, type Face, type PlanPoint, type PolyhedronName, type FaceName } from '../solids/index.js'; // prettier-ignore
import type { Hinge } from './cut-part.js';

/** A face of a solid in the net: inside, and outside where all faces are moved out by the board. mm, seen from inside. */
export interface NetFace {
  /** Index of the face among those of the solid. */
  readonly face: number;
  readonly inner: readonly PlanPoint[];
  readonly outer: readonly PlanPoint[];
  /** Neighbour across each side of `inner`, by its index. */
  readonly beside: readonly number[];
  readonly hinge?: Hinge;
}

/** Angle between two neighbouring faces, inside the solid, radians. */
export const dihedral = (a: Face, b: Face): number => Math.PI - Math.acos(Math.max(-1, Math.min(1, dot(a.normal, b.normal)))); // prettier-ignore

const TINY = 1e-9;

/** The outline without corners that coincide. */
const withoutTwice = (outline: readonly PlanPoint[]): PlanPoint[] =>
  outline.filter(([x, y], i) => {
    const [px, py] = defined(outline[(i + outline.length - 1) % outline.length]);
    return Math.hypot(x - px, y - py) > TINY;
  });

/** A face with its own axes in space: `x` along its first side, `y` inwards, seen from inside. */
interface FaceFrame {
  readonly face: Face;
  readonly order: readonly number[];
  readonly origin: Triple;
  readonly x: Triple;
  readonly y: Triple;
}

function frameOf(face: Face, vertices: readonly Triple[]): FaceFrame {
  // Seen from inside they run the other way round.
  const order = cornersInOrder(face, vertices).reverse();
  const origin = defined(vertices[defined(order[0])]);
  const side = minus(defined(vertices[defined(order[1])]), origin);
  const x = scaled(side, 1 / Math.hypot(...side));
  // Seen from inside, the way out lies behind the drawing.
  return { face, order, origin, x, y: cross(scaled(face.normal, -1), x) };
}

/** The outer face of a board in its frame: what all planes moved out by the board leave of this one's. */
function outerOf({ face, origin, x, y }: FaceFrame, faces: readonly Face[], edge: number, board: number): PlanPoint[] {
  const wide = 4 * edge + 4 * board;
  const start: PlanPoint[] = [[-wide, -wide], [wide, -wide], [wide, wide], [-wide, wide]]; // prettier-ignore
  const at = triple((k) => origin[k] + face.normal[k] * board);
  const outer = faces.reduce<PlanPoint[]>((outline, other) => {
    if (other === face) return outline;
    const reach = other.distance * edge + board - dot(other.normal, at);
    return clipOutline(outline, dot(other.normal, x), dot(other.normal, y), reach);
  }, start);
  return withoutTwice(outer);
}

/** Which faces hang on which: nearest to the root first, so that the net spreads round it. */
function hangings(faces: readonly FaceFrame[], root: number, left: number): Map<number, number> {
  const on = new Map<number, number>([[root, -1]]);
  for (const at of on.keys())
    for (const [i, { order }] of faces.entries()) {
      const shared = order.filter((corner) => defined(faces[at]).order.includes(corner)).length;
      if (shared === 2 && i !== left && !on.has(i)) on.set(i, at);
    }
  return on;
}

type Put = (own: PlanPoint) => PlanPoint;

/** Puts a face into the net with its side from `a` to `b` on the line from `from` to `to`, itself at the right of it. */
function putBeside(frame: FaceFrame, vertices: readonly Triple[], [a, b]: readonly [number, number], from: PlanPoint, to: PlanPoint): Put {
  const own = (at: number): PlanPoint => flat(frame, defined(vertices[at]));
  const [[ax, ay], [bx, by]] = [own(a), own(b)];
  const turn = Math.atan2(to[1] - from[1], to[0] - from[0]) - Math.atan2(by - ay, bx - ax);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return ([x, y]) => [
    from[0] + (x - ax) * cos - (y - ay) * sin,
    from[1] + (x - ax) * sin + (y - ay) * cos,
  ];
} // prettier-ignore

const flat = ({ origin, x, y }: FaceFrame, vertex: Triple): PlanPoint => [
  dot(minus(vertex, origin), x),
  dot(minus(vertex, origin), y),
];

/** The face that lies opposite the open one: square to it, or of those round the corner opposite the first. */
function rootOf(faces: readonly Face[], open: Face): number {
  const facing = faces.map(({ normal }) => dot(normal, open.normal));
  return facing.indexOf(Math.min(...facing));
}

/**
 * Faces of a solid of equal edges (`edge`, mm, inside), all but the open one, unfolded round the face opposite it. `board`: thickness, mm; the
 * outer faces are those of the same solid with every face moved out by it, so that neighbours meet at half their angle and tips that
 * would collide are nipped. Handbook 19, "Equal-faced solids from boards".
 */
export function netOfSolid(which: PolyhedronName, open: FaceName, edge: number, board: number): NetFace[] {
  const faces = facesOf(which);
  const lid = defined(openFace(which, open));
  const vertices = skeletonOf(which).vertices.map((vertex) => scaled(vertex, edge));
  const frames = faces.map((face) => frameOf(face, vertices));
  const hung = hangings(frames, rootOf(faces, lid), faces.indexOf(lid));
  const places = new Map<number, { put: Put; index: number; hinge?: Hinge }>();
  for (const [i, on] of hung) {
    const frame = defined(frames[i]);
    const parent = places.get(on);
    if (!parent) {
      places.set(i, { put: (own) => own, index: 0 });
      continue;
    }
    const ring = defined(frames[on]).order;
    const at = ring.findIndex((a, k) =>
      [a, defined(ring[(k + 1) % ring.length])].every((c) => frame.order.includes(c)),
    );
    const [a, b] = [defined(ring[at]), defined(ring[(at + 1) % ring.length])];
    const corner = (c: number) => parent.put(flat(defined(frames[on]), defined(vertices[c])));
    const [from, to] = [corner(a), corner(b)];
    const angle = Math.PI - dihedral(defined(faces[on]), frame.face);
    places.set(i, { put: putBeside(frame, vertices, [a, b], from, to), index: places.size, hinge: { on: parent.index, from, to, angle } }); // prettier-ignore
  }
  return [...places].map(([i, { put, hinge }]) => {
    const frame = defined(frames[i]);
    const { order } = frame;
    return {
      face: i,
      inner: order.map((c) => put(flat(frame, defined(vertices[c])))),
      outer: outerOf(frame, faces, edge, board).map(put),
      beside: order.map((a, k) => {
        const b = defined(order[(k + 1) % order.length]);
        return frames.findIndex(({ order: other }, j) => j !== i && other.includes(a) && other.includes(b));
      }),
      ...(hinge && { hinge }),
    };
  });
}
