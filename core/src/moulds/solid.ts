import { Checker } from '../units/index.js';

/** A round frustum: cylinder or cone. Sizes in mm, taken inside the mould or outside the core. */
export interface RoundFrustum {
  readonly kind: 'round-frustum';
  readonly bottomDiameter: number;
  readonly topDiameter: number;
  readonly height: number;
}

/** Any solid that a mould is made of. */
export type Solid = RoundFrustum;

/** Largest size that is taken for a home mould, mm. */
export const LARGEST_SIZE = 3000;

/** Radius at height `z` above the solid's own bottom, mm; 0 outside of it. */
export function radiusAt(solid: Solid, z: number): number {
  if (z < 0 || z > solid.height) return 0;
  const share = z / solid.height;
  return (solid.bottomDiameter + (solid.topDiameter - solid.bottomDiameter) * share) / 2;
}

/** Area of the solid's side face, mm²: π(r+R)·slant height. */
export function sideArea(solid: Solid): number {
  const r = solid.bottomDiameter / 2;
  const R = solid.topDiameter / 2;
  return Math.PI * (r + R) * Math.hypot(R - r, solid.height);
}

/** Volume of the whole solid, mL: πh/3·(R²+Rr+r²). */
export function solidVolume(solid: Solid): number {
  const r = solid.bottomDiameter / 2;
  const R = solid.topDiameter / 2;
  return ((Math.PI * solid.height) / 3) * (R * R + R * r + r * r) * 1e-3;
}

/** Notes in `check` what is wrong with the sizes of a solid. `whose` names it in words: "The core". */
export function checkSolid(check: Checker, path: string, whose: string, solid: Solid): void {
  const size = { above: 0, max: LARGEST_SIZE, unit: 'mm' };
  check.number(`${path}.bottomDiameter`, solid.bottomDiameter, `${whose}’s bottom diameter`, size);
  check.number(`${path}.topDiameter`, solid.topDiameter, `${whose}’s top diameter`, size);
  check.number(`${path}.height`, solid.height, `${whose}’s height`, size);
}
