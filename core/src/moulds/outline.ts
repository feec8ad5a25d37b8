import type { MouldShape, PlacedSolid } from './mould.js';

/** A point of a half-section: distance from the axis and height above the cavity's bottom, mm. */
export interface ProfilePoint {
  readonly r: number;
  readonly z: number;
}

/** Side line of a placed solid, from its bottom up, cut at the rim. */
export function sideLine(placed: PlacedSolid, rim: number): [ProfilePoint, ProfilePoint] {
  const { bottomDiameter, topDiameter, height } = placed.solid;
  const reached = Math.min(height, rim - placed.bottom);
  const r1 = (bottomDiameter + (topDiameter - bottomDiameter) * (reached / height)) / 2;
  return [
    { r: bottomDiameter / 2, z: placed.bottom },
    { r: r1, z: placed.bottom + reached },
  ];
}

/** Side line of the outer mould, from the bottom to the rim. */
export function outerLine(shape: MouldShape): [ProfilePoint, ProfilePoint] {
  return sideLine({ name: 'outer', solid: shape.outer, bottom: 0 }, shape.outer.height);
}

/**
 * Half-outline of the cast as it stands on the shelf, from the axis at the bottom, up the side, to the axis at the top.
 * A pot is cast standing on its base, so the cavity's own heights hold.
 */
export function silhouette(shape: MouldShape): ProfilePoint[] {
  const [bottom, top] = outerLine(shape);
  return [{ r: 0, z: 0 }, bottom, top, { r: 0, z: top.z }];
}
