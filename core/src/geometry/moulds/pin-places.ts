import type { PlanPoint } from '../solids/index.js';
import { cavityOf, regionAt, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** Farthest point of a standing solid to the right of the axis at a height, mm. */
const reach = (standing: Standing, z: number) => regionAt(standing, z).box.x1;

/**
 * Where the thickness of a pressed shell is checked with a marked pin, as points of its upright section (mm to the side of
 * the axis, mm up): the middle of its base, its corner, and its wall half way up. None where there is no core in the shell.
 */
export function pinPlaces(shape: MouldShape): PlanPoint[] {
  const { outer, cores, rim } = cavityOf(shape);
  const [core] = cores;
  if (!core) return [];
  const base = core.bottom > 0 ? core.bottom / 2 : (core.top + rim) / 2;
  const at = (z: number): PlanPoint => [(reach(outer, z) + reach(core, z)) / 2, z];
  const foot = core.bottom > 0 ? core.bottom : core.top;
  return [[0, base], at(foot), at(rim / 2)];
}
