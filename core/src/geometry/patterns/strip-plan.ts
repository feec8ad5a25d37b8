import { defined, firstPlace } from '../../foundation/math/index.js';
import type { PlanPoint } from '../solids/index.js';
import { lineLength, type Centreline, type OffsetWall } from './centreline.js';
import { circleOutline, type PlanLine } from './cut-part.js';

/** How far a nail stands from its strip, and how large it is drawn so that it is seen, mm. */
const NAIL = 1.5;
const DRAWN = 3;
/** So many nails are drawn at most. */
const MOST_NAILS = 600;

/** A point of a wall, and the way there, radians. */
interface WallPoint {
  readonly at: PlanPoint;
  readonly way: number;
}

/** Finds the point at a share of the length of a polyline (closed where it runs round). */
function alongWall(points: readonly PlanPoint[], closed: boolean): (share: number) => WallPoint {
  const ends = points.map((from, i) => [from, points[i + 1] ?? (closed ? defined(points[0]) : from)] as const);
  let whole = 0;
  const runs = ends.map(([[ax, ay], [bx, by]]) => (whole += Math.hypot(bx - ax, by - ay)));
  return (share) => {
    const wanted = share * whole;
    const side = firstPlace(runs.length, (i) => defined(runs[i]) >= wanted - 1e-9);
    const i = side < runs.length ? side : Math.max(0, runs.length - (closed ? 1 : 2));
    const [[ax, ay], [bx, by]] = defined(ends[i]);
    const length = Math.hypot(bx - ax, by - ay) || 1;
    const back = side < runs.length ? Math.min(1, Math.max(0, (defined(runs[i]) - wanted) / length)) : 0;
    return { at: [bx + (ax - bx) * back, by + (ay - by) * back], way: Math.atan2(by - ay, bx - ax) };
  };
}

/** Where nails stand along a wall, as shares of its length: whole spacings, each as wide as its bend allows. */
function nailShares({ bends }: OffsetWall, closed: boolean, spacing: (radius: number) => number): number[] {
  const all = bends.reduce((sum, { length, radius }) => sum + Math.max(0, length) / spacing(radius), 0);
  const whole = bends.reduce((sum, { length }) => sum + Math.max(0, length), 0);
  const count = Math.min(MOST_NAILS, Math.max(1, Math.ceil(all - 1e-9)));
  const shares: number[] = [0];
  let [spaced, run] = [0, 0];
  for (const { length, radius } of bends) {
    const next = spaced + Math.max(0, length) / spacing(radius);
    // As many nails as whole spacings end within this stretch.
    for (let wanted = (shares.length * all) / count; wanted <= next + 1e-9 && shares.length < count; wanted = (shares.length * all) / count)
      shares.push((run + (wanted - spaced) * spacing(radius)) / whole);
    [spaced, run] = [next, run + Math.max(0, length)];
  }
  return closed ? shares : [...shares, 1];
} // prettier-ignore

/** Nails of a wall, on both sides of its strip in turn; at each corner of the line one more, on the inside of its turn. */
export function nailsAlong(wall: OffsetWall, line: Centreline, strip: number, spacing: (radius: number) => number): PlanPoint[] {
  const beside = strip / 2 + NAIL;
  const pointAt = alongWall(wall.points, line.closed);
  const along = nailShares(wall, line.closed, spacing).map((share, i): PlanPoint => {
    const { at: [x, y], way } = pointAt(share);
    const out = i % 2 === 0 ? beside : -beside;
    return [x - out * Math.sin(way), y + out * Math.cos(way)];
  });
  const nearest = ([x, y]: PlanPoint) => wall.points.reduce((best, one) => (Math.hypot(one[0] - x, one[1] - y) < Math.hypot(best[0] - x, best[1] - y) ? one : best)); // prettier-ignore
  return [...along, ...line.corners.map(({ at }) => nearest(at))];
} // prettier-ignore

/** Square cuts across a channel that divide it into segments of a length with a joint between: their two ends each, mm. */
export function cutsAcross({ steps, closed }: Centreline, channel: number, count: number, segment: number, joint: number): readonly (readonly [PlanPoint, PlanPoint])[] {
  const whole = lineLength({ steps, closed, corners: [] });
  const places = Array.from({ length: closed ? count : count - 1 }, (_, i) => (i + 1) * segment + i * joint).flatMap((at) => [at, at + joint]);
  let [run, i] = [0, 0];
  return places.map((place) => {
    const wanted = Math.min(place, whole - 1e-6);
    while (i < steps.length - 1 && run + defined(steps[i]).length < wanted) {
      run += defined(steps[i]).length;
      i += 1;
    }
    const { at: [x, y], way, length, curvature } = defined(steps[i]);
    const into = wanted - run;
    const here = way + curvature * (into - length / 2);
    const [px, py] = [x + into * Math.cos(way), y + into * Math.sin(way)];
    const side = (to: number): PlanPoint => [px - (to * channel * Math.sin(here)) / 2, py + (to * channel * Math.cos(here)) / 2];
    return [side(-1), side(1)] as const;
  });
} // prettier-ignore

/** Nails as they are drawn from above. */
export const nailsDrawn = (nails: readonly PlanPoint[]): PlanLine[] =>
  nails.map(([x, y]) => ({ layer: 'nail', points: circleOutline(DRAWN, x, y, 8), closed: true }));
