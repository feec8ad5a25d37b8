import { pointOn, type ArcEdge, type Edge, type LineEdge, type Region } from './region.js';
import type { PlanPoint } from './solid.js';

/** Signed angle under which a point sees the straight line from `a` to `b`, radians. */
function chordAngle([px, py]: PlanPoint, [ax, ay]: PlanPoint, [bx, by]: PlanPoint): number {
  const [ux, uy, vx, vy] = [ax - px, ay - py, bx - px, by - py];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}

/** Whether a point lies between an arc of at most half a turn and its chord. */
function inSegment(p: PlanPoint, arc: ArcEdge, a: PlanPoint, b: PlanPoint): boolean {
  if (Math.hypot(p[0] - arc.cx, p[1] - arc.cy) >= arc.r) return false;
  const side = (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  return arc.sweep > 0 ? side < 0 : side > 0;
}

function seenAngle(p: PlanPoint, edge: Edge): number {
  const [a, b] = [pointOn(edge, 0), pointOn(edge, 1)];
  const straight = chordAngle(p, a, b);
  if (edge.kind === 'line' || !inSegment(p, edge, a, b)) return straight;
  return straight + (edge.sweep > 0 ? 2 : -2) * Math.PI;
}

/** Whether a level ray to the right of a point crosses an odd number of straight edges. */
function crossesOdd(edges: readonly LineEdge[], [px, py]: PlanPoint): boolean {
  let odd = false;
  for (const { x0, y0, x1, y1 } of edges)
    if (y0 > py !== y1 > py && px < x0 + ((x1 - x0) * (py - y0)) / (y1 - y0)) odd = !odd;
  return odd;
}

const isStraight = (edges: readonly Edge[]): edges is readonly LineEdge[] => edges.every(({ kind }) => kind === 'line');

/** Whether a point lies inside a region; on its boundary either may be answered. By winding; of straight edges by crossings, which is quicker. */
export function contains(region: Region, p: PlanPoint): boolean {
  const { box, circle, edges } = region;
  if (p[0] < box.x0 || p[0] > box.x1 || p[1] < box.y0 || p[1] > box.y1) return false;
  if (circle) return Math.hypot(p[0] - circle.x, p[1] - circle.y) < circle.r;
  if (isStraight(edges)) return crossesOdd(edges, p);
  const around = edges.reduce((sum, edge) => sum + seenAngle(p, edge), 0);
  return Math.abs(around) > Math.PI;
}

const TURN = 2 * Math.PI;

/** Share of an arc at which `angle` lies; below 0 or above 1 where it is off the arc. */
export function shareOfArc({ from, sweep }: ArcEdge, angle: number): number {
  const ahead = sweep > 0 ? angle - from : from - angle;
  const turned = ((ahead % TURN) + TURN) % TURN;
  const size = Math.abs(sweep);
  // Just short of the start counts as below it, not as a whole turn ahead.
  return (turned > size && TURN - turned < turned - size ? turned - TURN : turned) / size;
}

/** Nearest point of an edge to `p`. */
function nearestOnEdge(edge: Edge, p: PlanPoint): PlanPoint {
  if (edge.kind === 'line') {
    const [dx, dy] = [edge.x1 - edge.x0, edge.y1 - edge.y0];
    const square = dx * dx + dy * dy;
    const t = square === 0 ? 0 : ((p[0] - edge.x0) * dx + (p[1] - edge.y0) * dy) / square;
    return pointOn(edge, Math.min(1, Math.max(0, t)));
  }
  const [dx, dy] = [p[0] - edge.cx, p[1] - edge.cy];
  const share = dx === 0 && dy === 0 ? 0 : shareOfArc(edge, Math.atan2(dy, dx));
  return pointOn(edge, Math.min(1, Math.max(0, share)));
}

/** Where a region's boundary comes nearest. */
export interface Nearest {
  readonly point: PlanPoint;
  /** mm */
  readonly distance: number;
  readonly edge?: Edge;
}

/** Nearest point of a region's boundary to `p`. */
export function nearestOnRegion({ edges }: Region, p: PlanPoint): Nearest {
  const [px, py] = p;
  let [square, nearest] = [Infinity, undefined as Edge | undefined];
  for (const edge of edges) {
    const away = edge.kind === 'line' ? squareFromLine(edge, px, py) : squareFromArc(edge, p);
    if (away < square) [square, nearest] = [away, edge];
  }
  if (!nearest) return { point: p, distance: Infinity };
  return { point: nearestOnEdge(nearest, p), distance: Math.sqrt(square), edge: nearest };
}

/** Square of the distance from a straight edge; asked so often that it makes nothing. */
function squareFromLine({ x0, y0, x1, y1 }: LineEdge, px: number, py: number): number {
  const [dx, dy, ox, oy] = [x1 - x0, y1 - y0, px - x0, py - y0];
  const long = dx * dx + dy * dy;
  const t = long === 0 ? 0 : Math.min(1, Math.max(0, (ox * dx + oy * dy) / long));
  return (ox - t * dx) ** 2 + (oy - t * dy) ** 2;
}

function squareFromArc(arc: ArcEdge, p: PlanPoint): number {
  const [x, y] = nearestOnEdge(arc, p);
  return (x - p[0]) ** 2 + (y - p[1]) ** 2;
}

/** Where the level line y = `at` lies inside a region: stretches of x from left to right, mm. */
export function chordsAt(region: Region, at: number): [number, number][] {
  const { box, edges } = region;
  if (edges.length === 0 || at <= box.y0 || at >= box.y1) return [];
  const found: number[] = [];
  for (const edge of edges) {
    if (edge.kind === 'line') {
      // Half-open, so that a corner on the line counts once.
      if (edge.y0 < at !== edge.y1 < at)
        found.push(edge.x0 + ((edge.x1 - edge.x0) * (at - edge.y0)) / (edge.y1 - edge.y0));
      continue;
    }
    const rise = (at - edge.cy) / edge.r;
    if (Math.abs(rise) >= 1) continue;
    for (const angle of [Math.asin(rise), Math.PI - Math.asin(rise)]) {
      const t = shareOfArc(edge, angle);
      if (t >= 0 && t < 1) found.push(edge.cx + edge.r * Math.cos(angle));
    }
  }
  found.sort((a, b) => a - b);
  const stretches: [number, number][] = [];
  for (let i = 0; i + 1 < found.length; i += 2) stretches.push([found[i]!, found[i + 1]!]);
  return stretches;
}
