import { isPortland, portlandShare, type PortlandClass } from '../binders/index.js';
import type { BinderFamily } from '../materials/index.js';
import { cementMass, type Portion } from './water.js';

/** Water bound per kg of fully reacted binder; Portland's is times its hydration. */
const boundPerBinder: Record<BinderFamily, number> = {
  portland: 0.23,
  'high-early': 0.23,
  sulfoaluminate: 0.35,
  gypsum: 0.18,
  lime: 0,
  pozzolan: 0,
};

/** Water held for good by dry solids, and by peat or coir on top of that; gypsum holds less. */
const HELD = 0.03;
const HELD_BY_GYPSUM = 0.005;
const HELD_BY_ORGANIC = 0.1;

/** Share of the cement that has reacted after a moist curing of `days` at 20 °C: 0.75 × share of 28-day strength, not over 1. */
export function hydration(days: number, family: PortlandClass = 'portland'): number {
  return 0.75 * Math.min(1, portlandShare(days, family));
}

/** Water that the binder binds, g; never more than the free water. */
export function boundWater(portions: readonly Portion[], freeWater: number, moistCuringDays: number): number {
  const bound = portions.reduce((total, { material, mass }) => {
    if (!material.family) return total;
    const { family } = material;
    const share = isPortland(family) ? hydration(moistCuringDays, family) : 1;
    return total + mass * (material.powder?.binderShare ?? 1) * boundPerBinder[family] * share;
  }, 0);
  return Math.min(bound, freeWater);
}

/** Moisture that a dry piece still holds, g. */
export function heldMoisture(portions: readonly Portion[]): number {
  const gypsum = portions.some(({ material }) => material.family === 'gypsum') && cementMass(portions) > 0;
  const share = gypsum ? HELD_BY_GYPSUM : HELD;
  return portions.reduce(
    (total, { material, mass }) => total + mass * (share + (material.kind === 'organic' ? HELD_BY_ORGANIC : 0)),
    0,
  );
}
