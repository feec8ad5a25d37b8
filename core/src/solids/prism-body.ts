import { line } from '../units/index.js';
import { facetsBetween, slopeFactor, type Body } from './body.js';
import { counterClockwise, moveOutline, outlineArea } from './outline.js';
import { lineEdges, polygonRegion, regionArea, regionOf, regionPerimeter } from './region.js';
import type { PlanPoint, Prism } from './solid.js';

type Loops = readonly (readonly PlanPoint[])[];

/** Heights at which a drafted outline is looked at to find where its shape changes. */
const LOOKS = 12;
/** How near such a change is found, mm. */
const NEAR = 1e-4;

/** Between two heights every corner runs straight from its place at the lower to its place at the upper. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly low: Loops;
  readonly high: Loops;
}

const signature = (loops: Loops) => loops.map((loop) => loop.length).join();

/** Turns a loop's list of corners so that they pair with those of `like`. */
function paired(loop: readonly PlanPoint[], like: readonly PlanPoint[]): readonly PlanPoint[] {
  const [x, y] = like[0]!;
  const far = loop.map(([px, py]) => Math.hypot(px - x, py - y));
  const start = far.indexOf(Math.min(...far));
  return [...loop.slice(start), ...loop.slice(0, start)];
}

/** Cuts the depth at the heights where corners merge or the outline falls apart. */
function stretchesOf(loopsAt: (z: number) => Loops, depth: number): Stretch[] {
  const heights = Array.from({ length: LOOKS + 1 }, (_, i) => (depth * i) / LOOKS);
  const stretches: Stretch[] = [];
  let from = 0;
  let low = loopsAt(0);
  const close = (to: number, high: Loops) => {
    const matched = high.map((loop, i) => (low[i] ? paired(loop, low[i]) : loop));
    if (to > from) stretches.push({ from, to, low, high: matched });
  };
  for (let i = 1; i < heights.length; i++) {
    let [below, above] = [heights[i - 1]!, heights[i]!];
    let last = loopsAt(below);
    const next = loopsAt(above);
    if (signature(last) === signature(next)) continue;
    while (above - below > NEAR) {
      const middle = (below + above) / 2;
      const there = loopsAt(middle);
      if (signature(there) === signature(last)) [below, last] = [middle, there];
      else above = middle;
    }
    close(below, last);
    from = above;
    low = loopsAt(above);
  }
  close(depth, loopsAt(depth));
  return stretches;
}

const blend = (low: Loops, high: Loops, share: number) =>
  low.map((loop, i) =>
    loop.map(([x, y], k): PlanPoint => {
      const [hx, hy] = high[i]?.[k] ?? [x, y];
      return [x + (hx - x) * share, y + (hy - y) * share];
    }),
  );

/** A level outline that goes straight down, or is drawn in by its draft. */
export function prismBody({ outline, depth, draft }: Prism): Body {
  const run = Math.tan((draft / 180) * Math.PI);
  const open = counterClockwise(outline);
  if (run === 0) {
    const region = polygonRegion(open);
    return {
      height: depth,
      breaks: [],
      regionAt: () => region,
      surfaceAt: () => regionPerimeter(region),
      runOf: () => 0,
      whole: { volume: regionArea(region) * depth, how: 'area of its outline × depth' },
      facets: facetsBetween(open, open, depth),
    };
  }
  const stretches = stretchesOf(
    (z) => moveOutline(open, -Math.max(1e-6, (depth - z) * Math.abs(run)) * Math.sign(run)),
    depth,
  );
  const regionAt = (z: number) => {
    const at = stretches.findLast(({ from }) => from <= z) ?? stretches[0]!;
    const share = Math.min(1, Math.max(0, (z - at.from) / (at.to - at.from)));
    return regionOf(blend(at.low, at.high, share).flatMap(lineEdges));
  };
  const only = stretches.length === 1 ? stretches[0] : undefined;
  const factor = slopeFactor(run);
  const area = (z: number) => regionArea(regionAt(z));
  // The area of such a stretch is a quadratic of the height: Simpson's rule is exact.
  const volume = stretches.reduce(
    (sum, { from, to }) =>
      sum + ((to - from) / 6) * (area(from) + 4 * area((from + to) / 2) + area(to - (to - from) * 1e-12)),
    0,
  );
  return {
    height: depth,
    breaks: stretches.slice(1).map(({ from }) => from),
    regionAt,
    surfaceAt: (z) => regionPerimeter(regionAt(z)) * factor,
    ...(only && { runOf: () => run }),
    whole: {
      volume,
      how: 'slices of its outline, drawn in by depth × tan(draft)',
      steps: [
        line('Area of the open face', outlineArea(open), 'mm²'),
        line('Drawn in at the bottom', depth * run, 'mm'),
      ],
    },
    ...(only?.low.length === 1 && { facets: facetsBetween(only.low[0]!, only.high[0]!, depth) }),
  };
}
