import type { Phrase } from '../../foundation/units/index.js';
import { contains, nearestOnRegion, pointOn, regionArea } from '../solids/index.js';
import { cavityOf, regionAt, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** By how much, and where, the outer holds the cast back on its way out upwards. */
export interface Undercut {
  /** mm that a soft wall must give on each side. */
  readonly overhang: number;
  readonly height: number;
}

/** Where the outer narrows towards its opening; undefined where the cast slides out. */
export function undercut(shape: MouldShape): Undercut | undefined {
  const { outer, rim, edges } = cavityOf(shape);
  // A leaf lies under its cast, not around it.
  if (outer.solid.kind === 'leaf') return undefined;
  const { runOf, breaks } = outer.body;
  if (runOf && breaks.length === 0) {
    // Straight sides come in all the way up, or nowhere.
    const run = Math.min(...regionAt(outer, rim / 2).edges.map(runOf));
    return run < -1e-9 ? { overhang: -run * rim, height: rim } : undefined;
  }
  const hair = rim * 1e-6;
  const even = Array.from({ length: 25 }, (_, i) => (rim * i) / 24);
  const heights = [...even, ...edges.slice(1, -1).flatMap((z) => [z - hair, z + hair])].sort((a, b) => a - b);
  const regions = heights.map((z) => regionAt(outer, z));
  let most: Undercut | undefined;
  // From the rim down: what lies below must pass through the narrowest opening above it.
  for (let i = heights.length - 2, gate = heights.length - 1; i >= 0; i--) {
    const way = regions[gate]!;
    const overhang = Math.max(
      0,
      ...regions[i]!.edges.map((edge) => {
        const p = pointOn(edge, 0);
        return contains(way, p) ? 0 : nearestOnRegion(way, p).distance;
      }),
    );
    if (overhang > (most?.overhang ?? 1e-6)) most = { overhang, height: heights[gate]! };
    if (regionArea(regions[i]!) < regionArea(way)) gate = i;
  }
  return most;
}

/** Names of cores and inserts that a rigid mould could not release: those that widen downwards inside the cast. */
export function lockedBlanks(shape: MouldShape): Phrase[] {
  const { cores, inserts } = cavityOf(shape);
  const locked = [...cores, ...inserts].filter((blank) => {
    const { bottom, top, placed, solid } = blank;
    if (bottom <= 0 || placed.stays || solid.kind === 'lying-pipe') return false;
    const [low, high] = [regionAt(blank, bottom), regionAt(blank, top)];
    return (
      low.box.x1 - low.box.x0 > high.box.x1 - high.box.x0 + 1e-6 ||
      low.box.y1 - low.box.y0 > high.box.y1 - high.box.y0 + 1e-6
    );
  });
  return [...new Set(locked.map(({ name }) => name))];
}

/** Height from which a straight wall grips, mm. */
const GRIPS = 60;

/** Whether a standing solid is a straight tube with no draft, tall enough to jam. */
const isStraight = ({ body, placed, bottom }: Standing, rim: number) => {
  const reached = Math.min(rim - bottom, body.height);
  if (placed.stays || reached < GRIPS) return false;
  return (
    Math.abs(regionArea(body.regionAt(0)) - regionArea(body.regionAt(body.height))) < 1e-6 && body.breaks.length === 0
  );
};

/** Names of the stiff straight tubes that would jam: the outer mould and its cores. A pressed shell has no outer mould. */
export function jammingTubes(shape: MouldShape): Phrase[] {
  const { outer, cores, rim } = cavityOf(shape);
  const tubes = cores.filter((core) => !core.placed.soft && isStraight(core, rim)).map(({ name }) => name);
  const around = !shape.pressed && isStraight(outer, rim);
  return [...(around ? [outer.name] : []), ...new Set(tubes)];
}
