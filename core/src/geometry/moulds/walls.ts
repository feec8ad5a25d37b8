import { minimumBetween } from '../../foundation/math/index.js';
import { contains, nearestOnRegion, pointOn, type Edge, type PlanPoint, type Region } from '../solids/index.js';
import { cavityOf, regionAt, type Cavity, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** A place in the cavity, mm. */
interface Place {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The thinnest place of a wall: its thickness and the height of the middle of that shortest line, mm. */
export interface ThinPlace {
  readonly thickness: number;
  readonly height: number;
  readonly from: Place;
  readonly to: Place;
}

const LOOKS = 10;
const MOST_POINTS = 48;

/** Points along a boundary to measure from: one where all are alike, few enough to be quick. */
function looksFrom(region: Region, outer: Region): PlanPoint[] {
  const { circle } = region;
  if (circle && outer.circle && circle.x === outer.circle.x && circle.y === outer.circle.y)
    return [[circle.x - circle.r, circle.y]];
  const shares = region.edges.length > 12 ? [0] : [0, 0.25, 0.5, 0.75];
  const points = region.edges.flatMap((edge) => shares.map((t) => pointOn(edge, t)));
  const every = Math.ceil(points.length / MOST_POINTS);
  return points.filter((_, i) => i % every === 0);
}

/** Nearest place of straight sides, from the nearest edge on the level and the slope of its side. */
function onStraightSide(
  region: Region,
  runOf: (edge: Edge) => number,
  [x, y]: PlanPoint,
  z: number,
  rim: number,
): Place {
  const { point, distance, edge } = nearestOnRegion(region, [x, y]);
  const run = edge ? runOf(edge) : 0;
  const up = Math.min(rim - z, Math.max(-z, (-distance * run) / (1 + run * run)));
  const share = distance === 0 ? 0 : (distance + run * up) / distance;
  return { x: x + (point[0] - x) * share, y: y + (point[1] - y) * share, z: z + up };
}

/** Nearest place of bent sides: the surface is met no farther up or down than it lies away on the level. */
function onBentSide(outer: Standing, [x, y]: PlanPoint, z: number, rim: number, steps: number): Place {
  const away = (at: number) => Math.hypot(nearestOnRegion(regionAt(outer, at), [x, y]).distance, z - at);
  const level = away(z);
  const at = minimumBetween(away, Math.max(0, z - level), Math.min(rim, z + level), steps);
  const best = away(at) < level ? at : z;
  const [tx, ty] = nearestOnRegion(regionAt(outer, best), [x, y]).point;
  return { x: tx, y: ty, z: best };
}

/** Shortest line from a point of a blank at height `z` to the wall around it. */
function placeAt({ outer, rim }: Cavity, around: Region, p: PlanPoint, z: number, steps: number): ThinPlace {
  const { body } = outer;
  const from: Place = { x: p[0], y: p[1], z };
  const known = body.nearest?.([...p, z]) ?? body.nearestSide?.([...p, z], rim);
  const to = known
    ? { x: known[0], y: known[1], z: known[2] }
    : body.runOf
      ? onStraightSide(around, body.runOf, p, z, rim)
      : onBentSide(outer, p, z, rim, steps);
  const thickness = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  return { thickness, height: (z + to.z) / 2, from, to };
}

/** Thinnest place between a blank and the wall around it: looked for at many heights, then closed in on. */
function thinnestOf(cavity: Cavity, blank: Standing): ThinPlace | undefined {
  const { outer, rim, edges } = cavity;
  const low = Math.max(0, blank.bottom);
  const high = Math.min(rim, blank.top);
  if (high <= low) return undefined;
  const even = Array.from({ length: LOOKS + 1 }, (_, i) => low + ((high - low) * i) / LOOKS);
  const hair = (high - low) * 1e-9;
  const heights = [...even, ...edges.filter((z) => z > low && z < high).flatMap((z) => [z - hair, z + hair])];
  const at = (z: number, steps: number) => {
    const around = regionAt(outer, z);
    return looksFrom(regionAt(blank, z), around).map((p) => placeAt(cavity, around, p, z, steps));
  };
  const thinner = (a: ThinPlace, b: ThinPlace) => (b.thickness < a.thickness - 1e-9 ? b : a);
  const found = heights.flatMap((z) => at(z, 10));
  if (found.length === 0) return undefined;
  const rough = found.reduce(thinner);
  // Between straight sides the distance runs straight too: it is least at an end.
  if (outer.body.runOf && blank.body.runOf) return rough;
  const step = (high - low) / LOOKS;
  const closest = (z: number) => at(z, 16).reduce((best, { thickness }) => Math.min(best, thickness), Infinity);
  const fine = minimumBetween(closest, Math.max(low, rough.from.z - step), Math.min(high, rough.from.z + step), 20);
  return [...at(rough.from.z, 60), ...at(fine, 60)].reduce(thinner);
}

/** Places that were found, thinnest first: many ask for those of one shape, and finding them takes longest of all. */
const thinnest = new WeakMap<MouldShape, readonly ThinPlace[]>();

/** Thinnest place of the wall between the outer mould and any core; undefined where there is no core. */
export function thinnestWall(shape: MouldShape): ThinPlace | undefined {
  const known = thinnest.get(shape);
  if (known) return known[0];
  const cavity = cavityOf(shape);
  const places = cavity.cores.flatMap((core) => thinnestOf(cavity, core) ?? []);
  places.sort((a, b) => a.thickness - b.thickness);
  thinnest.set(shape, places);
  return places[0];
}

/** Whether a piece has a base: one that is solid, or has a core that stands above its bottom. One that stands on the board leaves none. */
export function hasBase(shape: MouldShape): boolean {
  const { cores } = cavityOf(shape);
  return cores.length === 0 || cores.some(({ bottom }) => bottom > 0);
}

/** Thickness under the lowest core that leaves a base, mm; the full height where there is none. */
export function baseThickness(shape: MouldShape): number {
  const { cores, rim } = cavityOf(shape);
  const bottoms = cores.map(({ bottom }) => bottom).filter((bottom) => bottom > 0);
  return Math.min(rim, ...bottoms);
}

/** Least level gap between two blanks that do not touch, mm. */
function gapBetween(one: Standing, other: Standing): number {
  const low = Math.max(one.bottom, other.bottom);
  const high = Math.min(one.top, other.top);
  if (high <= low) return Infinity;
  const z = (low + high) / 2;
  const [a, b] = [regionAt(one, z), regionAt(other, z)];
  if (a.edges.length === 0 || b.edges.length === 0) return Infinity;
  if (a.edges.some((edge) => contains(b, pointOn(edge, 0.5)))) return Infinity;
  if (b.edges.some((edge) => contains(a, pointOn(edge, 0.5)))) return Infinity;
  const gaps = a.edges.flatMap((edge) => [0, 0.5].map((t) => nearestOnRegion(b, pointOn(edge, t)).distance));
  const gap = Math.min(...gaps, ...b.edges.map((edge) => nearestOnRegion(a, pointOn(edge, 0)).distance));
  return gap > 0.5 ? gap : Infinity;
}

/** Narrowest way through a region: the width of a strip, else the lesser side of its box, mm. */
function widthOf({ solid, body }: Standing, z: number): number {
  if ('width' in solid && solid.kind !== 'known-volume') return solid.width;
  const { box } = body.regionAt(z);
  return Math.min(box.x1 - box.x0, box.y1 - box.y0);
}

/** Gaps of a piece by itself, mm: its wall and base, the thickness of a leaf, or the ways through a solid piece. */
function ownGaps(shape: MouldShape, { outer, rim }: Cavity, wall: ThinPlace | undefined): number[] {
  if (outer.solid.kind === 'leaf') return [outer.solid.edge, outer.solid.middle];
  return wall ? [wall.thickness, baseThickness(shape)] : [rim, widthOf(outer, rim), widthOf(outer, rim / 2)];
}

/**
 * Narrowest gap that a grain must pass, mm: wall, base, between cores and inserts, over and under a lying pipe, the edge of a
 * leaf, or the width of a solid piece.
 * `wall` is its thinnest wall, for whoever has looked for that already.
 */
export function narrowestGap(shape: MouldShape, wall = thinnestWall(shape)): number {
  const cavity = cavityOf(shape);
  const { cores, inserts, rim } = cavity;
  const all = [...cores, ...inserts];
  const between = all.flatMap((one, i) => all.slice(i + 1).map((other) => gapBetween(one, other)));
  const byInserts = inserts.flatMap((insert) => thinnestOf(cavity, insert)?.thickness ?? []).filter((gap) => gap > 0.5);
  const lying = inserts.filter(({ solid }) => solid.kind === 'lying-pipe');
  const overAndUnder = lying.flatMap(({ bottom, top }) => [bottom, rim - top]).filter((gap) => gap > 0.5);
  return Math.min(...ownGaps(shape, cavity, wall), ...between, ...byInserts, ...overAndUnder);
}
