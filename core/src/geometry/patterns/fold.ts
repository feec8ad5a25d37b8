import { cross, defined, dot, minus, scaled, triple, type Triple } from '../../foundation/math/index.js';
import type { PlanPoint } from '../solids/index.js';
import type { PlacedPart } from './cut-part.js';

/** A part in space: its two faces with their holes, mm, the inside of the thing upwards of what lies on the table. */
export interface FoldedPart {
  readonly inner: readonly Triple[];
  readonly outer: readonly Triple[];
  readonly holes: readonly { readonly inner: readonly Triple[]; readonly outer: readonly Triple[] }[];
}

/** A turn and a move in space. */
type Motion = (point: Triple) => Triple;

/** A point turned about the line through `from` along `axis` (a unit), by the right hand (Rodrigues). */
function turnAbout(from: Triple, axis: Triple, angle: number): Motion {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return (point) => {
    const arm = minus(point, from);
    const across = cross(axis, arm);
    const along = dot(axis, arm) * (1 - cos);
    return triple((k) => from[k] + arm[k] * cos + across[k] * sin + axis[k] * along);
  };
}

/** One motion in place of two, the first one first: as many of them as a chain is long would be made for each of its points. */
function after(first: Motion, then: Motion): Motion {
  const at = then(first([0, 0, 0]));
  const [x, y, z] = ([[1, 0, 0], [0, 1, 0], [0, 0, 1]] as const).map((step) => minus(then(first(step)), at));
  const [ux, uy, uz] = [defined(x), defined(y), defined(z)];
  return (point) => triple((k) => at[k] + point[0] * ux[k] + point[1] * uy[k] + point[2] * uz[k]);
} // prettier-ignore

/** Where the points of each part's flat place come to when the net is folded by a share of its angles: a part goes with the one that it hangs on. */
function motionsOf(pieces: readonly PlacedPart[], share: number): Motion[] {
  const known = new Map<number, Motion>();
  const still: Motion = (point) => point;
  const motionOf = (at: number): Motion => {
    const before = known.get(at);
    if (before) return before;
    // Parts that hang on each other in a ring stay where they are.
    known.set(at, still);
    const { hinge } = defined(pieces[at]);
    if (!hinge) return still;
    const { from, to, on, angle } = hinge;
    const way = minus([to[0], to[1], 0], [from[0], from[1], 0]);
    const own = turnAbout([from[0], from[1], 0], scaled(way, 1 / Math.hypot(...way)), -angle * share);
    const motion = after(own, motionOf(on));
    known.set(at, motion);
    return motion;
  };
  return pieces.map((_, at) => motionOf(at));
}

/** The parts of a net, folded by a share of their angles: 0 flat, 1 as the thing stands. */
export function folded(pieces: readonly PlacedPart[], share: number): FoldedPart[] {
  const motions = motionsOf(pieces, share);
  return pieces.map(({ inner, outer, thickness, holes = [] }, at) => {
    const motion = defined(motions[at]);
    const put = (z: number) => (point: PlanPoint) => motion([point[0], point[1], z]);
    return {
      inner: inner.map(put(0)),
      outer: outer.map(put(-thickness)),
      holes: holes.map((hole) => ({ inner: hole.map(put(0)), outer: hole.map(put(-thickness)) })),
    };
  });
}
