import { differenceD, FillRule, inflatePathsD, JoinType, EndType, minkowskiSumD, type PathD, type PathsD } from 'clipper2-ts'; // prettier-ignore
import { defined } from '../../foundation/math/index.js';
import type { PlanPoint } from '../solids/index.js';

/** Decimals of a millimetre that polygons are cut to. */
const DECIMALS = 3;
/** A corner reaches out at most so many times its distance. */
const MITRE = 2;
/** What a place may be out by, mm: parts that fit a sheet exactly have a place too. */
export const SLACK = 0.005;
/** Sums of outlines are cut to so many parts of a hundredth. */
const FINER = 100;

const path = (points: readonly PlanPoint[], scale = 1): PathD => points.map(([x, y]) => ({ x: x * scale, y: y * scale })); // prettier-ignore
const points = (of: PathD, scale = 1): PlanPoint[] => of.map(({ x, y }): PlanPoint => [x / scale, y / scale]);

/** An outline grown by a distance, mm. */
export function grown(outline: readonly PlanPoint[], by: number): PlanPoint[] {
  const [first, ...more] = inflatePathsD([path(outline)], by, JoinType.Miter, EndType.Polygon, MITRE, DECIMALS);
  if (!first || more.length > 0) return [...outline];
  return points(first);
}

const cross = ([ax, ay]: PlanPoint, [bx, by]: PlanPoint): number => ax * by - ay * bx;
const minus = ([ax, ay]: PlanPoint, [bx, by]: PlanPoint): PlanPoint => [ax - bx, ay - by];

/** Whether a counter-clockwise outline bends inward nowhere. */
const isConvex = (outline: readonly PlanPoint[]): boolean =>
  outline.every((at, i) => {
    const next = defined(outline[(i + 1) % outline.length]);
    return cross(minus(next, at), minus(defined(outline[(i + 2) % outline.length]), next)) >= -1e-9;
  });

/** The outline begun at its lowest point, of several the leftmost. */
function fromLowest(outline: readonly PlanPoint[]): PlanPoint[] {
  const at = outline.reduce((best, [x, y], i) => {
    const [bx, by] = defined(outline[best]);
    return y < by || (y === by && x < bx) ? i : best;
  }, 0);
  return [...outline.slice(at), ...outline.slice(0, at)];
}

/** Sum of two convex outlines: their sides in order of direction. de Berg, Computational Geometry, 13.3. */
function convexSum(a: readonly PlanPoint[], b: readonly PlanPoint[]): PlanPoint[] {
  const [p, q] = [fromLowest(a), fromLowest(b)];
  const at = (of: readonly PlanPoint[], i: number) => defined(of[i % of.length]);
  const sum: PlanPoint[] = [];
  let [i, j] = [0, 0];
  while (i < p.length || j < q.length) {
    const [px, py] = at(p, i);
    const [qx, qy] = at(q, j);
    sum.push([px + qx, py + qy]);
    const side = cross(minus(at(p, i + 1), at(p, i)), minus(at(q, j + 1), at(q, j)));
    const [onP, onQ] = [j >= q.length || (i < p.length && side >= 0), i >= p.length || (j < q.length && side <= 0)];
    if (onP) i += 1;
    if (onQ) j += 1;
  }
  return sum;
}

/** Where the origin of an outline may not be put, so that it does not meet another that stays: the sum of that one and its mirror image. */
export function noFit(stays: readonly PlanPoint[], comes: readonly PlanPoint[]): PlanPoint[][] {
  const mirrored = comes.map(([x, y]): PlanPoint => [-x, -y]);
  if (isConvex(stays) && isConvex(comes)) return [convexSum(stays, mirrored)];
  const loops = minkowskiSumD(path(mirrored, FINER), path(stays, FINER), true).map((loop) => points(loop, FINER));
  // What is enclosed and yet outside of the sum lies within the one that stays.
  return loops.filter((loop) => signedArea(loop) > 0);
}

const signedArea = (outline: readonly PlanPoint[]): number =>
  outline.reduce((sum, at, i) => sum + cross(at, defined(outline[(i + 1) % outline.length])) / 2, 0);

/** The corners of the room for an outline's origin: a rectangle from `least` to `most` without what is forbidden. */
export function roomCorners(least: PlanPoint, most: PlanPoint, forbidden: readonly (readonly PlanPoint[])[]): PlanPoint[] {
  const [[x0, y0], [x1, y1]] = [least, most];
  const [l, b, r, t] = [x0 - SLACK, y0 - SLACK, x1 + SLACK, y1 + SLACK];
  const room: PathsD = [path([[l, b], [r, b], [r, t], [l, t]])]; // prettier-ignore
  const left = differenceD(room, forbidden.map((loop) => path(loop)), FillRule.NonZero, DECIMALS);
  return left.flat().map(({ x, y }): PlanPoint => [Math.min(x1, Math.max(x0, x)), Math.min(y1, Math.max(y0, y))]);
} // prettier-ignore
