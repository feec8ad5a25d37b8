import { line, msg, type Phrase } from '../../foundation/units/index.js';
import type { Body } from './body.js';
import { counterClockwise, outlineArea, outlineLength } from './outline.js';
import {
  circleRegion,
  polygonRegion,
  regionOf,
  regionPerimeter,
  type ArcEdge,
  type Edge,
  type Region,
} from './region.js';
import type { Arc, Leaf, PlanPoint, Ring, Spiral } from './solid.js';

/** A body whose section is the same all the way up. */
function upright(region: Region, height: number, volume: number, how: Phrase, centreline?: number): Body {
  return {
    height,
    breaks: [],
    regionAt: () => region,
    surfaceAt: () => regionPerimeter(region),
    runOf: () => 0,
    whole: {
      volume,
      how,
      ...(centreline !== undefined && { steps: [line(msg('solids.centreline'), centreline, 'mm')] }),
    },
  };
}

export function ringBody({ innerDiameter, width, depth }: Ring): Body {
  const inner = circleRegion(innerDiameter / 2);
  const hole = inner.edges.map((edge): Edge => {
    const arc = edge as ArcEdge;
    return { ...arc, from: arc.from + arc.sweep, sweep: -arc.sweep };
  });
  const outer = circleRegion(innerDiameter / 2 + width);
  const centreline = Math.PI * (innerDiameter + width);
  const region = regionOf([...outer.edges, ...hole.reverse()]);
  return upright(region, depth, centreline * width * depth, 'centreline × width × depth', centreline);
}

/** A piece of a circle as arcs of at most half a turn. */
function arcs(r: number, from: number, sweep: number): ArcEdge[] {
  const count = Math.max(1, Math.ceil(Math.abs(sweep) / Math.PI));
  return Array.from({ length: count }, (_, i) => ({
    kind: 'arc',
    cx: 0,
    cy: 0,
    r,
    from: from + (sweep * i) / count,
    sweep: sweep / count,
  }));
}

export function arcBody({ radius, angle, width, depth }: Arc): Body {
  const sweep = (angle / 180) * Math.PI;
  const from = Math.PI / 2 - sweep / 2;
  const [low, high] = [radius - width / 2, radius + width / 2];
  const at = (r: number, a: number): PlanPoint => [r * Math.cos(a), r * Math.sin(a)];
  const joint = ([x0, y0]: PlanPoint, [x1, y1]: PlanPoint): Edge => ({ kind: 'line', x0, y0, x1, y1 });
  const edges: Edge[] = [
    ...arcs(high, from, sweep),
    joint(at(high, from + sweep), at(low, from + sweep)),
    ...(low > 0 ? arcs(low, from + sweep, -sweep) : []),
    joint(at(low, from), at(high, from)),
  ];
  const centreline = radius * sweep;
  return upright(regionOf(edges), depth, centreline * width * depth, 'centreline × width × depth', centreline);
}

/** Length of a spiral's centreline, mm: r = r₀ + bθ with b = pitch/2π, L = ∫√(r² + b²)dθ. */
export function spiralLength({ startRadius, pitch, turns }: Spiral): number {
  const b = pitch / (2 * Math.PI);
  const part = (u: number) => u * Math.hypot(1, u) + Math.asinh(u);
  const end = startRadius + pitch * turns;
  return (b / 2) * (part(end / b) - part(startRadius / b));
}

/** Straight pieces in which a turn of a spiral is drawn. */
const STEPS = 72;

/** Outline of a spiral strip: both sides of its centreline, square to it. */
function spiralOutline({ startRadius, pitch, turns, width }: Spiral): PlanPoint[] {
  const count = Math.max(8, Math.ceil(turns * STEPS));
  const b = pitch / (2 * Math.PI);
  const side = (sign: 1 | -1) =>
    Array.from({ length: count + 1 }, (_, i): PlanPoint => {
      const angle = (2 * Math.PI * turns * i) / count;
      const r = startRadius + b * angle;
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      const [tx, ty] = [b * c - r * s, b * s + r * c];
      const half = (sign * width) / 2 / Math.hypot(tx, ty);
      return [r * c + ty * half, r * s - tx * half];
    });
  return [...side(1), ...side(-1).reverse()];
}

export function spiralBody(solid: Spiral): Body {
  const centreline = spiralLength(solid);
  const { width, depth } = solid;
  // The straight pieces cut its bends short by a hair: as much wider, their area is the strip's own.
  const short = outlineArea(counterClockwise(spiralOutline(solid)));
  const drawn = spiralOutline({ ...solid, width: (width * centreline * width) / short });
  const region = polygonRegion(counterClockwise(drawn));
  return upright(region, depth, centreline * width * depth, 'centreline × width × depth', centreline);
}

/** A leaf laid flat: full outline to the thinner of both thicknesses, then a dome (or a dish) to the thicker. */
export function leafBody({ area, middle, edge, outline }: Leaf): Body {
  const traced = outline && outline.length > 2 ? counterClockwise(outline) : undefined;
  const whole = traced ? polygonRegion(traced) : circleRegion(Math.sqrt(area / Math.PI));
  const fit = traced ? Math.sqrt(area / outlineArea(traced)) : 1;
  const points = traced?.map(([x, y]): PlanPoint => [x * fit, y * fit]);
  const [low, high] = [Math.min(middle, edge), Math.max(middle, edge)];
  const scaled = (share: number): Region => {
    const k = Math.sqrt(Math.max(0, share));
    if (k === 0) return circleRegion(0);
    return points
      ? polygonRegion(points.map(([x, y]): PlanPoint => [x * k, y * k]))
      : circleRegion(whole.circle!.r * k);
  };
  const full = points ? polygonRegion(points) : whole;
  return {
    height: high,
    breaks: low < high ? [low] : [],
    regionAt: (z) => (z <= low ? full : scaled(1 - (z - low) / (high - low))),
    surfaceAt: (z) => (z <= low ? regionPerimeter(full) : area / (high - low)),
    whole: {
      volume: (area * (middle + edge)) / 2,
      how: 'area × (middle + edge)/2',
      ...(points && { steps: [line(msg('solids.outlineLength'), outlineLength(points), 'mm')] }),
    },
  };
}
