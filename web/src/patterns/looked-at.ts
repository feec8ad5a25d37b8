import type { CutPattern } from '@dewpot/core/patterns';

export type Point = readonly [number, number, number];

/** Where one looks from, radians: round the upright, and how far down from above. */
export interface Look {
  readonly yaw: number;
  readonly tilt: number;
}
export const FIRST_LOOK: Look = { yaw: -0.6, tilt: 1.05 };

/** Kinds whose parts stand on their lower edge when they are folded: their net lies on its side. */
export const STANDING: readonly CutPattern['kind'][] = ['panel-box', 'house', 'bed'];

/** A point as it is seen: along the drawing, up it, and how near. */
export function lookedAt([x, y, z]: Point, { yaw, tilt }: Look): Point {
  const [tx, ty] = [x * Math.cos(yaw) - y * Math.sin(yaw), x * Math.sin(yaw) + y * Math.cos(yaw)];
  return [tx, ty * Math.cos(tilt) + z * Math.sin(tilt), z * Math.cos(tilt) - ty * Math.sin(tilt)];
}

/** A point of a net that is folded by a share: what stands on its lower edge is raised as it folds. */
export function raised([x, y, z]: Point, share: number, standing: boolean): Point {
  const rise = standing ? (Math.PI / 2) * share : 0;
  return [x, y * Math.cos(rise) - z * Math.sin(rise), y * Math.sin(rise) + z * Math.cos(rise)];
}

/** The look at what stands: it shows its first wall, which lies on its outside in the net. */
export const lookAtStanding = (look: Look, standing: boolean): Look =>
  standing ? { ...look, yaw: look.yaw + Math.PI } : look;

/** A point of a net that is folded by a share, as it is seen; a net is looked at from straight above. */
export function turned(point: Point, look: Look, share: number, standing: boolean): Point {
  const { yaw, tilt } = lookAtStanding(look, standing);
  return lookedAt(raised(point, share, standing), { yaw: yaw * share, tilt: tilt * share });
}
