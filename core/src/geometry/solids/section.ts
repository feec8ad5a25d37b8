import { bodyOf } from './body-of.js';
import { NOWHERE, regionArea, regionPerimeter, type Region } from './region.js';
import type { Solid } from './solid.js';

/** A level cross-section: area in mm², perimeter in mm. */
export interface Section {
  readonly area: number;
  readonly perimeter: number;
}

/** Region of a solid at height `z` above its own bottom, mm; nothing outside of it. */
function regionOfSolid(solid: Solid, z: number): Region {
  const body = bodyOf(solid);
  return z < 0 || z > body.height ? NOWHERE : body.regionAt(z);
}

/** Cross-section at height `z` above the solid's own bottom, mm. */
export function sectionAt(solid: Solid, z: number): Section {
  const region = regionOfSolid(solid, z);
  return { area: regionArea(region), perimeter: regionPerimeter(region) };
}
