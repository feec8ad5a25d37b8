import type { Portion } from './water.js';

/** Room that the solids and the free water take without air, mL. */
function solidVolumes(portions: readonly Portion[]): number[] {
  return portions.map(({ material, mass }) => mass / material.particle);
}

/**
 * Fresh volume of a batch, mL: (Σ m/particle + free water) ÷ (1 − air). Masses in g, 1 g of water = 1 mL.
 * `air` is a share of the volume, 0 to below 1.
 */
export function freshVolume(portions: readonly Portion[], freeWater: number, air: number): number {
  const solids = solidVolumes(portions).reduce((total, volume) => total + volume, 0);
  return (solids + freeWater) / (1 - air);
}
