import type { PlanPoint } from './solid.js';

/** A straight piece of a region's boundary. */
export interface LineEdge {
  readonly kind: 'line';
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** A piece of a circle of at most half a turn: start angle and signed sweep in radians, counter-clockwise above 0. */
export interface ArcEdge {
  readonly kind: 'arc';
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
  readonly from: number;
  readonly sweep: number;
}

export type Edge = LineEdge | ArcEdge;

export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** A plane region by its boundary, the inside at the left of each edge; holes run the other way round. Exact for circles. */
export interface Region {
  readonly edges: readonly Edge[];
  readonly box: Box;
  /** Set where the region is one whole circle. */
  readonly circle?: { readonly x: number; readonly y: number; readonly r: number };
}

export const NOWHERE: Region = { edges: [], box: { x0: 0, y0: 0, x1: 0, y1: 0 } };

/** Point of an edge at `t` from 0 to 1. */
export function pointOn(edge: Edge, t: number): PlanPoint {
  if (edge.kind === 'line') return [edge.x0 + (edge.x1 - edge.x0) * t, edge.y0 + (edge.y1 - edge.y0) * t];
  const angle = edge.from + edge.sweep * t;
  return [edge.cx + edge.r * Math.cos(angle), edge.cy + edge.r * Math.sin(angle)];
}

export function edgeLength(edge: Edge): number {
  return edge.kind === 'line' ? Math.hypot(edge.x1 - edge.x0, edge.y1 - edge.y0) : edge.r * Math.abs(edge.sweep);
}

/** Twice ∫(x dy − y dx)/2 along an edge from `t0` to `t1`: what it adds to twice the area (Green). */
export function twiceArea(edge: Edge, t0 = 0, t1 = 1): number {
  if (edge.kind === 'line') {
    const [ax, ay] = pointOn(edge, t0);
    const [bx, by] = pointOn(edge, t1);
    return ax * by - bx * ay;
  }
  const { cx, cy, r } = edge;
  const a = edge.from + edge.sweep * t0;
  const b = edge.from + edge.sweep * t1;
  return r * r * (b - a) + r * (cx * (Math.sin(b) - Math.sin(a)) - cy * (Math.cos(b) - Math.cos(a)));
}

/** Area of a region, mm². */
export function regionArea({ edges, circle }: Region): number {
  if (circle) return Math.PI * circle.r * circle.r;
  return edges.reduce((sum, edge) => sum + twiceArea(edge), 0) / 2;
}

/** Length of a region's boundary, holes included, mm. */
export function regionPerimeter({ edges }: Region): number {
  return edges.reduce((sum, edge) => sum + edgeLength(edge), 0);
}

/** Points at which an arc is farthest left, right, low and high, as shares of it. */
function turningPoints({ from, sweep }: ArcEdge): number[] {
  const quarter = Math.PI / 2;
  const [low, high] = sweep > 0 ? [from, from + sweep] : [from + sweep, from];
  const found: number[] = [];
  for (let k = Math.ceil(low / quarter); k * quarter <= high; k++) found.push((k * quarter - from) / sweep);
  return found;
}

function boxOf(edges: readonly Edge[]): Box {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const edge of edges) {
    for (const t of edge.kind === 'line' ? [0, 1] : [0, ...turningPoints(edge), 1]) {
      const [x, y] = pointOn(edge, t);
      x0 = Math.min(x0, x);
      x1 = Math.max(x1, x);
      y0 = Math.min(y0, y);
      y1 = Math.max(y1, y);
    }
  }
  return { x0, y0, x1, y1 };
}

/** A region of edges that were put in order already. */
export const regionOf = (edges: readonly Edge[]): Region =>
  edges.length === 0 ? NOWHERE : { edges, box: boxOf(edges) };

export function circleRegion(r: number, x = 0, y = 0): Region {
  if (r <= 0) return NOWHERE;
  const half = (from: number): ArcEdge => ({ kind: 'arc', cx: x, cy: y, r, from, sweep: Math.PI });
  return {
    edges: [half(0), half(Math.PI)],
    box: { x0: x - r, y0: y - r, x1: x + r, y1: y + r },
    circle: { x, y, r },
  };
}

/** Closed run of straight edges through points. */
export function lineEdges(points: readonly PlanPoint[]): LineEdge[] {
  return points.map(([x0, y0], i) => {
    const [x1, y1] = points[(i + 1) % points.length]!;
    return { kind: 'line', x0, y0, x1, y1 };
  });
}

export const polygonRegion = (points: readonly PlanPoint[]): Region =>
  points.length < 3 ? NOWHERE : regionOf(lineEdges(points));

/** A rectangle about the axis with rounded corners. */
export function rectangleRegion(length: number, width: number, radius = 0): Region {
  const [a, b] = [length / 2, width / 2];
  if (a <= 0 || b <= 0) return NOWHERE;
  const r = Math.min(radius, a, b);
  if (r <= 0)
    return polygonRegion([
      [-a, -b],
      [a, -b],
      [a, b],
      [-a, b],
    ]);
  const corner = (cx: number, cy: number, from: number): ArcEdge => ({
    kind: 'arc',
    cx,
    cy,
    r,
    from,
    sweep: Math.PI / 2,
  });
  const side = (x0: number, y0: number, x1: number, y1: number): LineEdge => ({ kind: 'line', x0, y0, x1, y1 });
  const edges: Edge[] = [
    side(-a + r, -b, a - r, -b),
    corner(a - r, -b + r, -Math.PI / 2),
    side(a, -b + r, a, b - r),
    corner(a - r, b - r, 0),
    side(a - r, b, -a + r, b),
    corner(-a + r, b - r, Math.PI / 2),
    side(-a, b - r, -a, -b + r),
    corner(-a + r, -b + r, Math.PI),
  ];
  return regionOf(edges.filter((edge) => edgeLength(edge) > 0));
}

/** Whether a region is one circle about the axis. */
const isCentred = ({ circle }: Region) => circle !== undefined && circle.x === 0 && circle.y === 0;

/** A region turned about the axis by `degrees`, then moved by `x` and `y` mm. */
export function moveRegion(region: Region, x: number, y: number, degrees = 0): Region {
  if (x === 0 && y === 0 && (degrees === 0 || isCentred(region))) return region;
  if (region.edges.length === 0) return region;
  const turn = (degrees / 180) * Math.PI;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const put = (px: number, py: number): PlanPoint => [px * cos - py * sin + x, px * sin + py * cos + y];
  const { circle } = region;
  if (circle) return circleRegion(circle.r, ...put(circle.x, circle.y));
  return regionOf(
    region.edges.map((edge): Edge => {
      if (edge.kind === 'arc') {
        const [cx, cy] = put(edge.cx, edge.cy);
        return { ...edge, cx, cy, from: edge.from + turn };
      }
      const [x0, y0] = put(edge.x0, edge.y0);
      const [x1, y1] = put(edge.x1, edge.y1);
      return { kind: 'line', x0, y0, x1, y1 };
    }),
  );
}

/** Points along a region's boundary, one list a loop, arcs stepped by at most `step` radians. For drawing. */
export function loopsOf({ edges }: Region, step = Math.PI / 36): PlanPoint[][] {
  const loops: PlanPoint[][] = [];
  let loop: PlanPoint[] = [];
  edges.forEach((edge, i) => {
    const count = edge.kind === 'line' ? 1 : Math.max(1, Math.ceil(Math.abs(edge.sweep) / step));
    for (let k = 0; k < count; k++) loop.push(pointOn(edge, k / count));
    const next = edges[i + 1];
    const [x, y] = pointOn(edge, 1);
    const [nx, ny] = next ? pointOn(next, 0) : [NaN, NaN];
    if (next && Math.hypot(nx - x, ny - y) < 1e-6) return;
    loops.push(loop);
    loop = [];
  });
  return loops;
}
