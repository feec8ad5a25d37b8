import { crossings } from './edge-cross.js';
import { contains, nearestOnRegion } from './region-point.js';
import {
  edgeLength,
  pointOn,
  regionArea,
  regionPerimeter,
  twiceArea,
  type Box,
  type Edge,
  type Region,
} from './region.js';
import type { PlanPoint } from './solid.js';

/** What is left of a region when others are taken out of it. */
export interface LeftOver {
  /** mm² */
  readonly area: number;
  /** Length of the outer's boundary that stays free, mm. */
  readonly outer: number;
  /** Length of each blank's boundary that the rest lies against, mm. */
  readonly blanks: readonly number[];
}

/** Distance within which boundaries lie upon each other, mm. */
const TOUCH = 1e-7;

type Place = 'inside' | 'outside' | 'along' | 'against';

const apart = (a: Box, b: Box) =>
  a.x1 < b.x0 - TOUCH || b.x1 < a.x0 - TOUCH || a.y1 < b.y0 - TOUCH || b.y1 < a.y0 - TOUCH;

/** Shares at which an edge is split so that each piece keeps one place towards every other region. */
function splits(edge: Edge, box: Box, others: readonly Region[]): number[] {
  const found = [0, 1];
  for (const other of others) {
    if (apart(box, other.box)) continue;
    for (const cut of other.edges) found.push(...crossings(edge, cut));
  }
  return found.sort((a, b) => a - b);
}

function placeOf(p: PlanPoint, direction: PlanPoint, other: Region): Place {
  const { box } = other;
  if (p[0] < box.x0 - TOUCH || p[0] > box.x1 + TOUCH || p[1] < box.y0 - TOUCH || p[1] > box.y1 + TOUCH)
    return 'outside';
  if (nearestOnRegion(other, p).distance > TOUCH) return contains(other, p) ? 'inside' : 'outside';
  // On the boundary: which side the other's inside lies tells whether both run the same way.
  const step = 1e3 * TOUCH;
  const left: PlanPoint = [p[0] - direction[1] * step, p[1] + direction[0] * step];
  return contains(other, left) ? 'along' : 'against';
}

/** Sums area and length of the pieces of a region's boundary that `keeps` lets stand. */
function sumPieces(region: Region, others: readonly Region[], keeps: (places: readonly Place[]) => boolean) {
  let area = 0;
  let length = 0;
  for (const edge of region.edges) {
    const whole = edgeLength(edge);
    const at = splits(edge, region.box, others);
    for (let i = 1; i < at.length; i++) {
      const [from, to] = [at[i - 1]!, at[i]!];
      if ((to - from) * whole < TOUCH) continue;
      const middle = (from + to) / 2;
      const p = pointOn(edge, middle);
      const [ax, ay] = pointOn(edge, middle - (to - from) * 0.01);
      const [bx, by] = pointOn(edge, middle + (to - from) * 0.01);
      const size = Math.hypot(bx - ax, by - ay) || 1;
      const direction: PlanPoint = [(bx - ax) / size, (by - ay) / size];
      if (!keeps(others.map((other) => placeOf(p, direction, other)))) continue;
      area += twiceArea(edge, from, to) / 2;
      length += (to - from) * whole;
    }
  }
  return { area, length };
}

/** How a region lies towards another that it neither crosses nor touches. */
type Lie = 'apart' | 'within' | 'around';

/** Undefined where the boundaries meet, or may. */
function lieOf(one: Region, other: Region): Lie | undefined {
  if (apart(one.box, other.box)) return 'apart';
  const [a, b] = [one.circle, other.circle];
  if (a && b) {
    const between = Math.hypot(a.x - b.x, a.y - b.y);
    if (between > a.r + b.r + TOUCH) return 'apart';
    if (between + a.r < b.r - TOUCH) return 'within';
    return between + b.r < a.r - TOUCH ? 'around' : undefined;
  }
  if (one.edges.length * other.edges.length > MOST_PAIRS) return undefined;
  const meets = one.edges.some((edge) => other.edges.some((cut) => crossings(edge, cut).length > 0));
  const near = (from: Region, to: Region) =>
    from.edges.some((edge) => nearestOnRegion(to, pointOn(edge, 0)).distance <= TOUCH);
  if (meets || near(one, other) || near(other, one)) return undefined;
  if (contains(other, pointOn(one.edges[0]!, 0))) return 'within';
  return contains(one, pointOn(other.edges[0]!, 0)) ? 'around' : 'apart';
}

/** Pairs of edges up to which looking first is quicker than cutting. */
const MOST_PAIRS = 400;

/** Blanks that lie apart or within each other need no cutting: the largest of each nest counts. Undefined where any meet. */
function leftOfNests(outer: Region, blanks: readonly Region[]): LeftOver | undefined {
  let area = regionArea(outer);
  const free: number[] = [];
  for (const [i, blank] of blanks.entries()) {
    if (blank.edges.length === 0) {
      free.push(0);
      continue;
    }
    const inOuter = lieOf(blank, outer);
    if (inOuter === undefined || inOuter === 'around') return undefined;
    const lies = blanks.map((other, j) => (i === j || other.edges.length === 0 ? 'apart' : lieOf(blank, other)));
    if (lies.includes(undefined)) return undefined;
    const counts = inOuter === 'within' && !lies.includes('within');
    if (counts) area -= regionArea(blank);
    free.push(counts ? regionPerimeter(blank) : 0);
  }
  return { area, outer: regionPerimeter(outer), blanks: free };
}

/**
 * What is left of `outer` without `blanks`: exact for straight and round boundaries, overlaps counted once,
 * only what lies inside the outer taken out. By Green's theorem over the pieces of boundary that stay free.
 */
export function leftOver(outer: Region, blanks: readonly Region[]): LeftOver {
  if (outer.edges.length === 0) return { area: 0, outer: 0, blanks: blanks.map(() => 0) };
  if (blanks.every(({ edges }) => edges.length === 0))
    return { area: regionArea(outer), outer: regionPerimeter(outer), blanks: blanks.map(() => 0) };
  const simple = leftOfNests(outer, blanks);
  if (simple) return simple;
  const rim = sumPieces(outer, blanks, (places) => places.every((place) => place === 'outside' || place === 'against'));
  const pieces = blanks.map((blank, i) => {
    const others = [outer, ...blanks.filter((_, j) => j !== i)];
    return sumPieces(blank, others, ([inOuter, ...places]) => {
      if (inOuter !== 'inside') return false;
      return places.every((place, k) => place === 'outside' || (place === 'along' && k >= i));
    });
  });
  return {
    area: pieces.reduce((sum, { area }) => sum - area, rim.area),
    outer: rim.length,
    blanks: pieces.map(({ length }) => length),
  };
}
