import { shareOfArc } from './region-point.js';
import { pointOn, type ArcEdge, type Edge, type LineEdge } from './region.js';

const within = (t: number) => t > 1e-12 && t < 1 - 1e-12;

function lineWithLine(a: LineEdge, b: LineEdge): number[] {
  const [ux, uy, vx, vy] = [a.x1 - a.x0, a.y1 - a.y0, b.x1 - b.x0, b.y1 - b.y0];
  const cross = ux * vy - uy * vx;
  const [wx, wy] = [b.x0 - a.x0, b.y0 - a.y0];
  const square = ux * ux + uy * uy;
  if (Math.abs(cross) > 1e-12 * (square + vx * vx + vy * vy)) {
    const s = (wx * uy - wy * ux) / cross;
    return s >= -1e-12 && s <= 1 + 1e-12 ? [(wx * vy - wy * vx) / cross] : [];
  }
  // Parallel: where they lie upon each other, the other's ends split this one.
  return [(wx * ux + wy * uy) / square, ((b.x1 - a.x0) * ux + (b.y1 - a.y0) * uy) / square];
}

/** Shares of a line at which it meets the whole circle of an arc. */
function lineWithCircle({ x0, y0, x1, y1 }: LineEdge, { cx, cy, r }: ArcEdge): number[] {
  const [ux, uy, wx, wy] = [x1 - x0, y1 - y0, x0 - cx, y0 - cy];
  const a = ux * ux + uy * uy;
  const b = ux * wx + uy * wy;
  const under = b * b - a * (wx * wx + wy * wy - r * r);
  if (under < 0 || a === 0) return [];
  const root = Math.sqrt(under);
  return [(-b - root) / a, (-b + root) / a];
}

const angleAt = ({ cx, cy }: ArcEdge, edge: Edge, t: number) => {
  const [x, y] = pointOn(edge, t);
  return Math.atan2(y - cy, x - cx);
};

function arcWithArc(a: ArcEdge, b: ArcEdge): number[] {
  const [dx, dy] = [b.cx - a.cx, b.cy - a.cy];
  const apart = Math.hypot(dx, dy);
  if (apart < 1e-9 && Math.abs(a.r - b.r) < 1e-9) return [0, 1].map((t) => shareOfArc(a, angleAt(a, b, t)));
  if (apart > a.r + b.r || apart < Math.abs(a.r - b.r) || apart === 0) return [];
  const cos = Math.min(1, Math.max(-1, (apart * apart + a.r * a.r - b.r * b.r) / (2 * apart * a.r)));
  const towards = Math.atan2(dy, dx);
  return [towards - Math.acos(cos), towards + Math.acos(cos)]
    .filter((angle) => {
      const there = shareOfArc(b, Math.atan2(a.cy + a.r * Math.sin(angle) - b.cy, a.cx + a.r * Math.cos(angle) - b.cx));
      return there >= -1e-9 && there <= 1 + 1e-9;
    })
    .map((angle) => shareOfArc(a, angle));
}

/** Shares of edge `a`, its ends left out, at which `b` crosses it, touches it or begins to lie upon it. */
export function crossings(a: Edge, b: Edge): number[] {
  if (a.kind === 'line') {
    if (b.kind === 'line') return lineWithLine(a, b).filter(within);
    return lineWithCircle(a, b)
      .filter((t) => {
        const there = shareOfArc(b, angleAt(b, a, t));
        return there >= -1e-9 && there <= 1 + 1e-9;
      })
      .filter(within);
  }
  if (b.kind === 'arc') return arcWithArc(a, b).filter(within);
  return lineWithCircle(b, a)
    .filter((s) => s >= -1e-12 && s <= 1 + 1e-12)
    .map((s) => shareOfArc(a, angleAt(a, b, s)))
    .filter(within);
}
