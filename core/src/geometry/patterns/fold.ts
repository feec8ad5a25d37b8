import { cross, defined, dot, minus, scaled, triple, type Triple } from '../../foundation/math/index.js';
import type { PlanPoint } from '../solids/index.js';
import type { PlacedPart } from './cut-part.js';

/** A part in space: its two faces with their holes, mm, the inside of the thing upwards of what lies on the table. */
export interface FoldedPart {
  readonly inner: readonly Triple[];
  readonly outer: readonly Triple[];
  readonly holes: readonly { readonly inner: readonly Triple[]; readonly outer: readonly Triple[] }[];
}

/** A point turned about the line through `from` along `axis` (a unit), by the right hand (Rodrigues). */
function turnedAbout(point: Triple, from: Triple, axis: Triple, angle: number): Triple {
  const arm = minus(point, from);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const across = cross(axis, arm);
  const along = dot(axis, arm) * (1 - cos);
  return triple((k) => from[k] + arm[k] * cos + across[k] * sin + axis[k] * along);
}

/** Where a point of a part's flat place comes to when the net is folded by a share of its angles. */
function moved(pieces: readonly PlacedPart[], at: number, share: number, point: Triple): Triple {
  let [now, piece] = [point, defined(pieces[at])];
  // Each part hangs on one before it: a chain is never longer than all of them.
  for (let steps = 0; piece.hinge && steps < pieces.length; steps++) {
    const { from, to, on, angle } = piece.hinge;
    const way = minus([to[0], to[1], 0], [from[0], from[1], 0]);
    const axis = scaled(way, 1 / Math.hypot(...way));
    now = turnedAbout(now, [from[0], from[1], 0], axis, -angle * share);
    piece = defined(pieces[on]);
  }
  return now;
}

/** The parts of a net, folded by a share of their angles: 0 flat, 1 as the thing stands. */
export function folded(pieces: readonly PlacedPart[], share: number): FoldedPart[] {
  return pieces.map(({ inner, outer, thickness, holes = [] }, at) => {
    const put = (z: number) => (point: PlanPoint) => moved(pieces, at, share, [point[0], point[1], z]);
    return {
      inner: inner.map(put(0)),
      outer: outer.map(put(-thickness)),
      holes: holes.map((hole) => ({ inner: hole.map(put(0)), outer: hole.map(put(-thickness)) })),
    };
  });
}
