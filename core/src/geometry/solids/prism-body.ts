import { line, msg } from '../../foundation/units/index.js';
import { facetsBetween, slopeFactor, type Body } from './body.js';
import { counterClockwise, outlineArea, outlineStages } from './outline.js';
import { polygonRegion, regionArea, regionPerimeter } from './region.js';
import type { PlanPoint, Prism } from './solid.js';

/** Between two heights every corner runs straight from its place at the lower to its place at the upper. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly low: readonly PlanPoint[];
  readonly high: readonly PlanPoint[];
}

/** The depth of a drafted outline in stretches, bottom up: its open face is drawn in on its way down. */
function stretchesOf(open: readonly PlanPoint[], depth: number, run: number): Stretch[] {
  return outlineStages(open, -depth * run)
    .map(({ from, to, start, end }) => ({
      from: depth - to / Math.abs(run),
      to: depth - from / Math.abs(run),
      low: end,
      high: start,
    }))
    .reverse();
}

const blend = (low: readonly PlanPoint[], high: readonly PlanPoint[], share: number) =>
  low.map(([x, y], k): PlanPoint => [x + (high[k]![0] - x) * share, y + (high[k]![1] - y) * share]);

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
      whole: { volume: regionArea(region) * depth, how: msg('solids.outlineTimesDepth') },
      facets: facetsBetween(open, open, depth),
    };
  }
  const stretches = stretchesOf(open, depth, run);
  const regionAt = (z: number) => {
    const at = stretches.findLast(({ from }) => from <= z) ?? stretches[0]!;
    const share = Math.min(1, Math.max(0, (z - at.from) / (at.to - at.from)));
    return polygonRegion(blend(at.low, at.high, share));
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
      how: msg('solids.outlineSlices'),
      steps: [
        line(msg('solids.openFaceArea'), outlineArea(open), 'mm²'),
        line(msg('solids.drawnIn'), depth * run, 'mm'),
      ],
    },
    ...(only && { facets: facetsBetween(only.low, only.high, depth) }),
  };
}
