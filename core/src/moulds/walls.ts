import { blanks, type MouldShape } from './mould.js';
import { outerLine, sideLine, type ProfilePoint } from './outline.js';
import { radiusAt } from './solid.js';

type Segment = readonly [ProfilePoint, ProfilePoint];

/** The thinnest place of a wall: its thickness and the height of the middle of that shortest line, mm. */
export interface ThinPlace {
  readonly thickness: number;
  readonly height: number;
  readonly from: ProfilePoint;
  readonly to: ProfilePoint;
}

function nearestOn([a, b]: Segment, p: ProfilePoint): ProfilePoint {
  const dr = b.r - a.r;
  const dz = b.z - a.z;
  const t = ((p.r - a.r) * dr + (p.z - a.z) * dz) / (dr * dr + dz * dz);
  const s = Math.min(1, Math.max(0, t));
  return { r: a.r + s * dr, z: a.z + s * dz };
}

function shortestBetween(one: Segment, two: Segment): ThinPlace {
  const lines = [
    ...one.map((p) => [p, nearestOn(two, p)] as const),
    ...two.map((p) => [nearestOn(one, p), p] as const),
  ];
  const places = lines.map(([from, to]) => ({
    thickness: Math.hypot(from.r - to.r, from.z - to.z),
    height: (from.z + to.z) / 2,
    from,
    to,
  }));
  return places.reduce((best, place) => (place.thickness < best.thickness - 1e-9 ? place : best));
}

/** Thinnest place of the wall between the outer mould and any core; undefined where there is no core. */
export function thinnestWall(shape: MouldShape): ThinPlace | undefined {
  const outer = outerLine(shape);
  const places = shape.cores.map((core) => shortestBetween(outer, sideLine(core, shape.outer.height)));
  return places.sort((a, b) => a.thickness - b.thickness)[0];
}

/** Thickness under the lowest core, mm; the full height where there is no core. */
export function baseThickness(shape: MouldShape): number {
  return Math.min(shape.outer.height, ...shape.cores.map((core) => core.bottom));
}

/** Narrowest gap that a grain must pass, mm: the thinner of wall and base, or the narrowest width of a solid piece. */
export function narrowestGap(shape: MouldShape): number {
  const wall = thinnestWall(shape);
  if (wall) return Math.min(wall.thickness, baseThickness(shape));
  return Math.min(shape.outer.height, 2 * radiusAt(shape.outer, 0), 2 * radiusAt(shape.outer, shape.outer.height));
}

/** Names of cores and inserts that a rigid mould could not release: those that widen downwards inside the cast. */
export function lockedBlanks(shape: MouldShape): string[] {
  return blanks(shape)
    .filter(({ solid, bottom }) => bottom > 0 && solid.topDiameter < solid.bottomDiameter)
    .map((blank) => blank.name);
}

/** Whether a rigid one-piece outer mould narrows towards its opening, so that the cast cannot leave it. */
export function outerUndercut(shape: MouldShape): boolean {
  return shape.outer.topDiameter < shape.outer.bottomDiameter;
}
